import type { DoubtedReading } from 'core/rice/lot/doubtReading'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Sheet } from '../../ui/Sheet'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

const HOTTEST_C = 101

export type AskReadingProps = {
  asked: { tempC: number; doubted: DoubtedReading } | null
  fromC: number | null
  onSay: (tempC: number, doubted: DoubtedReading | null) => void
  onClose: () => void
}

/** An odd reading is asked about before it counts; whatever is said is kept. */
export function AskReading({ asked, fromC, onSay, onClose }: AskReadingProps) {
  const t = useWords('rice')
  if (!asked) return null
  const { tempC, doubted } = asked
  const meantC = doubted.meantC === null ? null : Math.round(doubted.meantC)
  const [title, detail] =
    doubted.doubt === 'unit'
      ? [t('cool.ask.unit', { tempC }), meantC === null ? t('cool.ask.unitHigh') : t('cool.ask.unitDetail', { meantC })]
      : doubted.doubt === 'drop'
        ? [t('cool.ask.drop', { fromC: fromC ?? '', tempC }), t('cool.ask.dropDetail')]
        : [t('cool.ask.rise', { tempC }), t('cool.ask.riseDetail')]
  const answer = (sayIt: () => void) => () => {
    sayIt()
    onClose()
  }
  const isPossible = tempC <= HOTTEST_C
  return (
    <Sheet title={title} isOpen onClose={onClose}>
      <View className="gap-3">
        <Text size="step">{detail}</Text>
        {meantC !== null && (
          <Button
            kind="main"
            isTall
            label={t('cool.ask.meant', { meantC })}
            onPress={answer(() => onSay(meantC, null))}
          />
        )}
        <Button kind={meantC === null ? 'main' : 'plain'} isTall label={t('cool.ask.again')} onPress={onClose} />
        {isPossible && <Button label={t('cool.ask.right', { tempC })} onPress={answer(() => onSay(tempC, doubted))} />}
      </View>
    </Sheet>
  )
}
