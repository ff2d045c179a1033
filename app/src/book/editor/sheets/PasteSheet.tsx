import { MEASURE_SYSTEMS, type MeasureSystem } from 'core/measure/units'
import { useEffect, useEffectEvent, useRef, useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../../ui/Button'
import { Choice } from '../../../ui/Choice'
import { Field } from '../../../ui/Field'
import { Sheet } from '../../../ui/Sheet'
import { Text } from '../../../ui/Text'
import { useWords } from '../../../words/i18n'
import { MAX_CHARACTERS } from '../../draft/pasteLines'

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
  const box = useRef<View>(null)
  /** A paste that no dish can be is answered before it is laid out: that alone would stop the page. */
  const onPaste = useEffectEvent((event: ClipboardEvent) => {
    const pasted = event.clipboardData?.getData('text/plain') ?? ''
    if (pasted.length <= MAX_CHARACTERS) return
    event.preventDefault()
    onTake(pasted, chosen)
  })
  useEffect(() => {
    const node = box.current as unknown as HTMLElement | null
    const heard = (event: ClipboardEvent) => onPaste(event)
    node?.addEventListener('paste', heard)
    return () => node?.removeEventListener('paste', heard)
  }, [])
  return (
    <Sheet title={t('editor.pasteTitle')} isOpen onClose={onClose}>
      <View ref={box} className="gap-2">
        <Text tone="ash">{t('editor.pasteHow')}</Text>
        <Field
          label={t('editor.pasteText')}
          value={text}
          onChange={setText}
          isMany
          maxLength={MAX_CHARACTERS + 1}
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
