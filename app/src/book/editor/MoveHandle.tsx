import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import type { Edit } from '../draft/history'

/** A handle that a finger drags a line by; the arrow keys move it too. */
export function MoveHandle(props: { lineKey: string; name: string; index: number; edit: (edit: Edit) => void }) {
  const { lineKey, name, index, edit } = props
  const t = useWords('book')
  const move = (to: number) => edit({ kind: 'move', key: lineKey, to })
  return (
    <View
      role="button"
      tabIndex={0}
      aria-label={t('editor.move', { name })}
      className="ring-focus hold min-h-14 w-7 items-center justify-center rounded-lg"
      {...({
        dataSet: { line: lineKey },
        onPointerDown: () => dragLine(lineKey, move),
        onKeyDown: (event: { key: string; preventDefault: () => void }) => {
          const by = { ArrowUp: -1, ArrowDown: 1 }[event.key]
          if (by === undefined) return
          event.preventDefault()
          if (index + by < 0) return
          move(index + by)
          toast(t('editor.moved', { name, n: index + by + 1 }))
        },
      } as object)}
    >
      <Text size="title" weight="bold" tone="ash" aria-hidden>
        ≡
      </Text>
    </View>
  )
}

/**
 * Follows the pointer until it is lifted. The page listens, not the handle: a line that moves is set into the page anew, and
 * would lose the pointer.
 */
function dragLine(lineKey: string, move: (to: number) => void): void {
  const follow = (event: PointerEvent) => {
    const to = rowAt(event.clientY)
    if (to !== null && to !== handles().findIndex((one) => one.dataset['line'] === lineKey)) move(to)
  }
  const drop = () => {
    document.removeEventListener('pointermove', follow)
    document.removeEventListener('pointerup', drop)
    document.removeEventListener('pointercancel', drop)
  }
  document.addEventListener('pointermove', follow)
  document.addEventListener('pointerup', drop)
  document.addEventListener('pointercancel', drop)
}

const handles = () => [...document.querySelectorAll<HTMLElement>('[data-line]')]

/** Which line's middle is nearest to a height on the screen. */
function rowAt(clientY: number): number | null {
  const farPx = handles().map((handle) => {
    const { top, height } = handle.getBoundingClientRect()
    return Math.abs(top + height / 2 - clientY)
  })
  return farPx.length === 0 ? null : farPx.indexOf(Math.min(...farPx))
}
