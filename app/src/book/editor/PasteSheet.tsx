import { MEASURE_SYSTEMS, type MeasureSystem } from 'core/measure/units'
import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Sheet } from '../../ui/Sheet'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

/** A whole list at once, with the system its measures are in. What cannot be taken in stays here. */
export function PasteSheet(props: {
  system: MeasureSystem
  fault: string | undefined
  onTake: (text: string, system: MeasureSystem) => void
  onClose: () => void
}) {
  const { system, fault, onTake, onClose } = props
  const t = useWords('book')
  const [text, setText] = useState('')
  const [chosen, setChosen] = useState(system)
  return (
    <Sheet title={t('editor.pasteTitle')} isOpen onClose={onClose}>
      <View className="gap-2">
        <Text tone="ash">{t('editor.pasteHow')}</Text>
        <Field
          label={t('editor.pasteText')}
          value={text}
          onChange={setText}
          isMany
          maxLength={5_500_000}
          fault={fault}
        />
        <Text size="small" tone="ash">
          {t('editor.pasteSystem')}
        </Text>
        <View role="radiogroup" aria-label={t('editor.pasteSystem')} className="-mx-2 flex-row flex-wrap">
          {MEASURE_SYSTEMS.map((one) => (
            <Choice key={one} role="radio" label={one} isChosen={one === chosen} onChoose={() => setChosen(one)} />
          ))}
        </View>
        <Button kind="main" label={t('editor.pasteTake')} onPress={() => onTake(text, chosen)} />
      </View>
    </Sheet>
  )
}
