import { useState } from 'react'
import type { LayoutChangeEvent, NativeScrollEvent, NativeSyntheticEvent } from 'react-native'

/** What is drawn beyond the screen on either side, and by how much it moves at once [px]. */
const BEYOND_PX = 600
const STEP_PX = 200

/**
 * Says what of a long drawing is on the screen, so that only that is drawn. Places are px from the top of what scrolls.
 */
export function useScrollWindow() {
  const [topPx, setTopPx] = useState(0)
  const [heightPx, setHeightPx] = useState(900)
  return {
    scroll: {
      scrollEventThrottle: 50,
      onScroll: (event: NativeSyntheticEvent<NativeScrollEvent>) =>
        setTopPx(Math.floor(event.nativeEvent.contentOffset.y / STEP_PX) * STEP_PX),
    },
    onLayout: (event: LayoutChangeEvent) => setHeightPx(event.nativeEvent.layout.height),
    isSeen: (fromPx: number, toPx: number) => toPx >= topPx - BEYOND_PX && fromPx <= topPx + heightPx + BEYOND_PX,
  }
}
