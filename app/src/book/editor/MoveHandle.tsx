import { useRef } from 'react'
import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import type { Edit } from './history'

type Point = { clientY: number; pointerId: number; currentTarget: Element; preventDefault: () => void }

/** A handle that a finger drags a line by; the arrow keys move it too. */
export function MoveHandle(props: { lineKey: string; name: string; index: number; edit: (edit: Edit) => void }) {
  const { lineKey, name, index, edit } = props
  const t = useWords('book')
  const isDragging = useRef(false)
  const move = (to: number) => edit({ kind: 'move', key: lineKey, to })
  return (
    <View
      role="button"
      tabIndex={0}
      aria-label={t('editor.move', { name })}
      className="ring-focus hold min-h-14 w-7 items-center justify-center rounded-lg"
      {...({
        dataSet: { line: lineKey },
        onPointerDown: (event: Point) => {
          isDragging.current = true
          event.currentTarget.setPointerCapture(event.pointerId)
        },
        onPointerMove: (event: Point) => {
          if (!isDragging.current) return
          const to = rowAt(event.clientY)
          if (to !== null && to !== index) move(to)
        },
        onPointerUp: () => (isDragging.current = false),
        onPointerCancel: () => (isDragging.current = false),
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

/** Which line's middle is nearest to a height on the screen. */
function rowAt(clientY: number): number | null {
  let best: { index: number; farPx: number } | null = null
  document.querySelectorAll('[data-line]').forEach((handle, index) => {
    const { top, height } = handle.getBoundingClientRect()
    const farPx = Math.abs(top + height / 2 - clientY)
    if (!best || farPx < best.farPx) best = { index, farPx }
  })
  return (best as { index: number } | null)?.index ?? null
}
