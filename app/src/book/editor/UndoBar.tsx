import Redo2 from 'lucide-react-native/icons/redo-2'
import Undo2 from 'lucide-react-native/icons/undo-2'
import { Pressable } from 'react-native'
import { Icon, type CommonIcon } from '../../ui/icons'
import { useWords } from '../../words/i18n'
import type { Editor } from '../draft/useEditor'

/** A step back, a step forward. */
export function UndoBar({ editor }: { editor: Pick<Editor, 'canUndo' | 'canRedo' | 'edit'> }) {
  const t = useWords('book')
  const { canUndo, canRedo, edit } = editor
  return (
    <>
      <Step icon={Undo2} label={t('editor.undo')} isOn={canUndo} onPress={() => edit({ kind: 'undo' })} />
      <Step icon={Redo2} label={t('editor.redo')} isOn={canRedo} onPress={() => edit({ kind: 'redo' })} />
    </>
  )
}

function Step(props: { icon: CommonIcon; label: string; isOn: boolean; onPress: () => void }) {
  const { icon, label, isOn, onPress } = props
  return (
    <Pressable
      role="button"
      aria-label={label}
      disabled={!isOn}
      onPress={onPress}
      className={`ring-focus min-h-14 w-14 items-center justify-center rounded-lg border border-line bg-ground active:bg-plate ${isOn ? '' : 'dashed'}`}
    >
      <Icon as={icon} sizePx={26} color={isOn ? 'rgb(var(--rice))' : 'rgb(var(--disabled))'} />
    </Pressable>
  )
}
