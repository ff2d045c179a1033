import { useEffect, useEffectEvent, type RefObject } from 'react'
import type { View } from 'react-native'

/** Tells where a finger or a pointer is that was set down on a place, from its corner [px], until it is lifted. */
export function useDragOver(place: RefObject<View | null>, onAt: (px: number, py: number) => void): void {
  const tell = useEffectEvent(onAt)
  useEffect(() => {
    const element = place.current as unknown as HTMLElement | null
    if (!element) return
    const at = (event: PointerEvent) => {
      const box = element.getBoundingClientRect()
      tell(event.clientX - box.left, event.clientY - box.top)
    }
    const down = (event: PointerEvent) => {
      element.setPointerCapture(event.pointerId)
      at(event)
    }
    const dragged = (event: PointerEvent) => {
      if (element.hasPointerCapture(event.pointerId)) at(event)
    }
    element.addEventListener('pointerdown', down)
    element.addEventListener('pointermove', dragged)
    return () => {
      element.removeEventListener('pointerdown', down)
      element.removeEventListener('pointermove', dragged)
    }
  }, [place])
}
