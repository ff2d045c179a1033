import type { TempUnit, Temperature } from 'core/measure/temperature'
import type { DoubtedReading } from 'core/rice/lot/doubtReading'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { HoldButton } from '../../ui/HoldButton'
import { Sheet } from '../../ui/Sheet'
import { Text } from '../../ui/Text'
import { formatTemp } from '../../words/format'
import { useWords } from '../../words/i18n'

const HOTTEST_C = 101

/** What is asked about a reading before it is said: it is odd, or it would refuse the lot for good. */
export type AskedReading =
  | { kind: 'odd'; read: Temperature; doubted: DoubtedReading }
  | { kind: 'refuses'; read: Temperature; isDoubted: boolean; after: string }

type AskReadingProps = {
  input: AskedReading | null
  readsIn: TempUnit
  name: string
  fromC: number | null
  onSay: (read: Temperature, isDoubted: boolean) => void
  onClose: () => void
}

/** Whatever is answered is kept; what would refuse the lot is held, not tapped. */
export function AskReading(props: AskReadingProps) {
  const t = useWords('rice')
  const { input, readsIn, name, onSay, onClose } = props
  if (!input) return null
  if (input.kind === 'odd') return <AskOdd {...props} input={input} />
  const temp = formatTemp(input.read, readsIn)
  return (
    <Sheet title={t('cool.ask.refuse', { temp, name })} isOpen onClose={onClose}>
      <View className="gap-3">
        <Text size="step">{t('cool.ask.refuseAfter', { temp, after: input.after })}</Text>
        <Button kind="main" isTall label={t('cool.ask.again')} onPress={onClose} />
        <HoldButton label={t('cool.ask.refuseDo')} onHeld={() => onSay(input.read, input.isDoubted)} />
      </View>
    </Sheet>
  )
}

function AskOdd({
  input,
  readsIn,
  fromC,
  onSay,
  onClose,
}: AskReadingProps & { input: Extract<AskedReading, { kind: 'odd' }> }) {
  const t = useWords('rice')
  const { read, doubted } = input
  const temp = formatTemp(read, readsIn)
  const meantC = doubted.meantC === null ? null : Math.round(doubted.meantC)
  const meant = meantC === null ? '' : `${meantC} °C`
  const [title, detail] =
    doubted.doubt === 'unit'
      ? [t('cool.ask.unit', { temp }), meantC === null ? t('cool.ask.unitHigh') : t('cool.ask.unitDetail', { meant })]
      : doubted.doubt === 'drop'
        ? [
            t('cool.ask.drop', { from: fromC === null ? '' : formatTemp({ tempC: fromC }, readsIn), temp }),
            t('cool.ask.dropDetail'),
          ]
        : [t('cool.ask.rise', { temp }), t('cool.ask.riseDetail')]
  return (
    <Sheet title={title} isOpen onClose={onClose}>
      <View className="gap-3">
        <Text size="step">{detail}</Text>
        {meantC !== null && (
          <Button
            kind="main"
            isTall
            label={t('cool.ask.meant', { meant })}
            onPress={() => onSay({ tempC: meantC, tempF: read.tempC }, false)}
          />
        )}
        <Button kind={meantC === null ? 'main' : 'plain'} isTall label={t('cool.ask.again')} onPress={onClose} />
        {read.tempC <= HOTTEST_C && <Button label={t('cool.ask.right', { temp })} onPress={() => onSay(read, true)} />}
      </View>
    </Sheet>
  )
}
