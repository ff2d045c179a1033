import type { Run } from 'contract/run'
import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../ui/Button'
import { toast } from '../ui/Toast'
import { formatClock } from '../words/format'
import { useWords } from '../words/i18n'
import { CheckProbe } from './CheckBar'
import type { RunStep } from './stepWords'
import type { Cook } from './useCook'

type CookBarProps = {
  run: Run
  cook: Cook
  wordsOf: (step: RunStep) => { title: string; check: string | null }
  isResting: boolean
  onTrouble: () => void
  onSaid: (eventId: string) => void
}

/** More time, done or the probe, and trouble: what a hand reaches without looking. */
export function CookBar({ run, cook, wordsOf, isResting, onTrouble, onSaid }: CookBarProps) {
  const t = useWords('wok')
  const [isProbing, setIsProbing] = useState(false)
  const { check } = cook.step
  const next = cook.state.steps[cook.state.stepIndex + 1]
  const later = () => {
    const eventId = cook.later()
    if (!next) return
    const time = formatClock((cook.state.dueMs - run.firedAtMs) / 1000 + 10)
    toast(t('laterToast', { what: wordsOf(next).title, time }), () => cook.undo(eventId))
  }
  const handsFree = cook.state.handsFree ? t('handsFreeOn') : t('handsFreeOff')
  return (
    <View className="flex-row gap-2.5">
      <Button isTall label={t('later')} className="w-[86px] md:w-44" onPress={later} />
      {check ? (
        <Button
          isTall
          label={t('checkProbe')}
          detail={t('checkProbeDetail')}
          isResting={isResting}
          className="flex-1"
          onPress={() => setIsProbing(true)}
        />
      ) : (
        <Button
          isTall
          kind="main"
          size="amount"
          label={t('done')}
          detail={handsFree}
          isResting={isResting}
          className="flex-1"
          onPress={() => onSaid(cook.done())}
        />
      )}
      <Button isTall label={t('trouble')} className="w-[96px] md:w-44" onPress={onTrouble} />
      {check && (
        <CheckProbe
          key={cook.step.id}
          check={check}
          title={wordsOf(cook.step).check ?? ''}
          isOpen={isProbing}
          onClose={() => setIsProbing(false)}
          onSay={(ok, read) => onSaid(cook.checked(ok, read))}
        />
      )}
    </View>
  )
}
