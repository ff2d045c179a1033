import type { Pin } from 'core/book/pins'
import type { PinVerdict } from 'core/wok/sequence/pins'
import { View } from 'react-native'
import { Button } from '../../../ui/Button'
import { Diamond } from '../../../ui/icons'
import { Text } from '../../../ui/Text'
import { useWords } from '../../../words/i18n'

type PinLineProps = { pin: Pin; verdict: PinVerdict | null; nameOf: (id: string) => string; onUnpin: () => void }

/** A pin and what became of it: kept, or why not. */
export function PinLine({ pin, verdict, nameOf, onUnpin }: PinLineProps) {
  const t = useWords('book')
  const say = t as unknown as (key: string) => string
  const name = nameOf(pin.component)
  const words =
    'before' in pin
      ? t('scoreEditor.before', { name, other: nameOf(pin.before) })
      : 'after' in pin
        ? t('scoreEditor.after', { name, other: nameOf(pin.after) })
        : 'slot' in pin
          ? `${name}: ${t(`scoreEditor.slots.${pin.slot}`)}`
          : 'forS' in pin
            ? t('scoreEditor.forS', { name, seconds: pin.forS })
            : `${name}: ${t(pin.leaves ? 'scoreEditor.leaves' : 'scoreEditor.stays')}`
  const isRefused = verdict?.isKept === false
  const because = isRefused ? [...new Set(verdict.because)].map((code) => say(`scoreEditor.because.${code}`)) : []
  return (
    <View className="flex-row items-center gap-2 border-b border-edge py-1">
      {isRefused && <Diamond sizePx={14} />}
      <View className="min-w-0 flex-1">
        <Text weight="bold" stretch="slim">
          {words}
        </Text>
        <Text size="small" tone={isRefused ? 'rice' : 'ash'} stretch="slim">
          {verdict === null
            ? t('scoreEditor.notYet')
            : isRefused
              ? t('scoreEditor.refused', { why: because.join(', ') })
              : t('scoreEditor.kept')}
        </Text>
      </View>
      <Button size="body" label={t('scoreEditor.unpin')} onPress={onUnpin} />
    </View>
  )
}
