import type { Temperature } from 'core/measure/temperature'
import { coreOf, holdAtS } from 'core/safety/limits'
import type { SafetyCheck } from 'core/wok/score'
import { useState } from 'react'
import { View } from 'react-native'
import { ReadingBar } from '../rice/lot/ReadingBar'
import { useReadsIn } from '../setup/useKitchen'
import { NONE } from '../device/worked'
import { Button } from '../ui/Button'
import { Sheet } from '../ui/Sheet'
import { Text } from '../ui/Text'
import { formatTemp } from '../words/format'
import { useWords } from '../words/i18n'

type SaysCheck = (ok: boolean, read: Temperature | null) => void

/** The answer to a check stands in a place of its own, not where Done was: a yes or a no, each by its own tap. */
export function CheckAnswers({ isResting, onSay }: { isResting: boolean; onSay: SaysCheck }) {
  const t = useWords('wok')
  return (
    <View role="group" aria-label={t('checkAnswers')} className="flex-row gap-2.5">
      <Button label={t('checkNo')} isResting={isResting} className="flex-1" onPress={() => onSay(false, null)} />
      <Button label={t('checkYes')} isResting={isResting} className="flex-[2]" onPress={() => onSay(true, null)} />
    </View>
  )
}

type ProbeProps = { check: SafetyCheck; title: string; isOpen: boolean; onClose: () => void; onSay: SaysCheck }

/** A reading of the core at a check: what the rule set asks at that temperature, and the answer that follows from it. */
export function CheckProbe({ check, title, isOpen, onClose, onSay }: ProbeProps) {
  const t = useWords('wok')
  const readsIn = useReadsIn()
  const [read, setRead] = useState<Temperature | null>(null)
  const { limit } = check
  const close = () => {
    setRead(null)
    onClose()
  }
  const say = (ok: boolean) => {
    onSay(ok, read)
    close()
  }
  const heldS = read && holdAtS(limit, read)
  const temp = read ? formatTemp(read, readsIn) : ''
  return (
    <Sheet title={title} isOpen={isOpen} onClose={close}>
      {!read ? (
        <ReadingBar
          readsIn={readsIn}
          aroundC={limit.coreC}
          expectedC={NONE}
          detail={t('checkCore')}
          onLog={(reading) => setRead(reading)}
        />
      ) : (
        <View className="gap-3">
          <Text size="step">
            {heldS === null
              ? t('checkTooCool', { temp, asked: formatTemp(coreOf(limit), readsIn) })
              : heldS === 0
                ? t('checkReached', { temp })
                : t('checkHoldAt', { temp, holdS: heldS })}
          </Text>
          <Text tone="ash">{t('checkSource', { source: limit.source })}</Text>
          {heldS !== null && (
            <Button
              kind="main"
              isTall
              label={heldS === 0 ? t('checkYes') : t('checkHeld', { holdS: heldS })}
              onPress={() => say(true)}
            />
          )}
          <Button kind={heldS === null ? 'main' : 'plain'} isTall label={t('checkNo')} onPress={() => say(false)} />
          <Button label={t('checkAgain')} onPress={() => setRead(null)} />
        </View>
      )}
    </Sheet>
  )
}

/** A reading that this batch is not asked for, for a cook who wants one: a no makes the step wait, as any check does. */
export function OfferedCheck({ check, title, onSay }: Pick<ProbeProps, 'check' | 'title' | 'onSay'>) {
  const t = useWords('wok')
  const [isOpen, setIsOpen] = useState(false)
  return (
    <>
      <Button label={t('checkAllTheSame')} onPress={() => setIsOpen(true)} />
      <CheckProbe check={check} title={title} isOpen={isOpen} onClose={() => setIsOpen(false)} onSay={onSay} />
    </>
  )
}
