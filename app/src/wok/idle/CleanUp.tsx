import { SET_UP_S } from 'core/line/station'
import type { Station } from 'contract/kitchen'
import type { StationPastRow } from 'contract/station'
import { useEffect } from 'react'
import { View } from 'react-native'
import { kitchenNowMs, useNowMs } from '../../device/clock'
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
import { beginCleaning, endCleaning, useCleaning } from './cleaning'

const SAID = { wipe: 'wiped', brush: 'brushed' } as const

type CleanUpProps = {
  station: Station
  /** What is known of its metal. */
  past: StationPastRow | undefined
  /** The batch that is next for it. */
  next: ShownBatch | undefined
}

/** The set-up before the next batch as a step of its own: its seconds run once it begins, and it is done when the cook says so. */
export function CleanUp({ station, past, next }: CleanUpProps) {
  const mayCook = useMay('cook')
  const nowMs = useNowMs()
  const begun = useCleaning(station.id, past?.usedUntilMs ?? null, nowMs)
  const setUp = begun?.kind ?? next?.setUp
  if (!mayCook || (setUp !== 'wipe' && setUp !== 'brush')) return null
  return <Step stationId={station.id} name={station.name} setUp={setUp} beganMs={begun?.beganMs ?? null} />
}

type StepProps = { stationId: string; name: string; setUp: keyof typeof SAID; beganMs: number | null }

function Step({ stationId, name, setUp, beganMs }: StepProps) {
  const t = useWords('wok')
  const steps = useWords('steps')
  const nowMs = useNowMs()
  useEffect(() => {
    const leftMs = beganMs === null ? 0 : beganMs + SET_UP_S[setUp] * 1000 - kitchenNowMs()
    if (leftMs <= 0) return
    const timer = setTimeout(() => give('next'), leftMs)
    return () => clearTimeout(timer)
  }, [beganMs, setUp])
  const leftS = beganMs === null ? SET_UP_S[setUp] : SET_UP_S[setUp] - (nowMs - beganMs) / 1000
  // A double tap begins it; it does not say that it is done.
  const isResting = useRest(beganMs === null ? 'waits' : 'runs')
  const finish = () => {
    if (isResting) return
    const takeBack = sayCleaned(stationId, SAID[setUp])
    endCleaning(stationId)
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
        onPress={beganMs === null ? () => beginCleaning(stationId, { kind: setUp, beganMs: nowMs }) : finish}
      />
      {beganMs !== null && <Text tone="ash">{steps('cautions.steamWhenWiped')}</Text>}
    </View>
  )
}
