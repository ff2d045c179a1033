import { SET_UP_S } from 'core/line/station'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { useNowMs } from '../../device/clock'
import { give } from '../../device/signal'
import { sayCleaned } from '../../line/useStations'
import type { ShownBatch } from '../../line/useLinePlan'
import { useMay } from '../../people/me'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { formatClock } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useRest } from '../../ui/useRest'

const SAID = { wipe: 'wiped', brush: 'brushed' } as const

/** The set-up before the next batch as a step of its own: its seconds run once it begins, and it is done when the cook says so. */
export function CleanUp({ batch }: { batch: ShownBatch }) {
  const mayCook = useMay('cook')
  const { setUp } = batch
  if (!mayCook || (setUp !== 'wipe' && setUp !== 'brush')) return null
  return (
    <Step key={`${batch.stationId} ${setUp}`} stationId={batch.stationId} name={batch.station.name} setUp={setUp} />
  )
}

function Step({ stationId, name, setUp }: { stationId: string; name: string; setUp: keyof typeof SAID }) {
  const t = useWords('wok')
  const nowMs = useNowMs()
  const [beganMs, setBeganMs] = useState<number | null>(null)
  useEffect(() => {
    if (beganMs === null) return
    const timer = setTimeout(() => give('next'), SET_UP_S[setUp] * 1000)
    return () => clearTimeout(timer)
  }, [beganMs, setUp])
  const leftS = beganMs === null ? SET_UP_S[setUp] : SET_UP_S[setUp] - (nowMs - beganMs) / 1000
  // A double tap begins it; it does not say that it is done.
  const isResting = useRest(beganMs === null ? 'waits' : 'runs')
  const finish = () => {
    if (isResting) return
    const takeBack = sayCleaned(stationId, SAID[setUp])
    setBeganMs(null)
    toast(t(`idle.cleaned.${setUp}`, { station: name }), takeBack)
  }
  return (
    <View className="gap-1 px-4 py-2">
      <Button
        kind={beganMs === null ? 'plain' : 'main'}
        label={t(beganMs === null ? `idle.clean.${setUp}` : `idle.done.${setUp}`, { station: name })}
        detail={
          beganMs === null ? t('idle.lasts', { seconds: SET_UP_S[setUp] }) : formatClock(Math.ceil(Math.max(0, leftS)))
        }
        onPress={beganMs === null ? () => setBeganMs(nowMs) : finish}
      />
      {beganMs !== null && <Text tone="ash">{t('cautions.steamWhenWiped')}</Text>}
    </View>
  )
}
