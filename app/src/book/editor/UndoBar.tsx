import { Pressable } from 'react-native'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import type { Editor } from '../draft/useEditor'

/** A step back, a step forward. */
export function UndoBar({ editor }: { editor: Pick<Editor, 'canUndo' | 'canRedo' | 'edit'> }) {
  const t = useWords('book')
  const { canUndo, canRedo, edit } = editor
  return (
    <>
      <Step sign="↶" label={t('editor.undo')} isOn={canUndo} onPress={() => edit({ kind: 'undo' })} />
      <Step sign="↷" label={t('editor.redo')} isOn={canRedo} onPress={() => edit({ kind: 'redo' })} />
    </>
  )
}

function Step(props: { sign: string; label: string; isOn: boolean; onPress: () => void }) {
  const { sign, label, isOn, onPress } = props
  return (
    <Pressable
      role="button"
      aria-label={label}
      disabled={!isOn}
      onPress={onPress}
      className={`ring-focus min-h-14 w-14 items-center justify-center rounded-lg border border-line bg-ground active:bg-plate ${isOn ? '' : 'dashed'}`}
    >
      <Text size="title" weight="bold" tone={isOn ? 'rice' : 'disabled'} aria-hidden>
        {sign}
      </Text>
    </Pressable>
  )
}
