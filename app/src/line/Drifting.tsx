import type { ReactNode } from 'react'
import { View } from 'react-native'
import { useNowMs } from '../device/clock'

/** What was drawn for an instant, moved up every second by the time that has passed since: it is not drawn again for that. */
export function Drifting({ atMs, pxPerS, children }: { atMs: number; pxPerS: number; children: ReactNode }) {
  const passedS = Math.max(0, useNowMs() - atMs) / 1000
  return <View style={{ transform: [{ translateY: -passedS * pxPerS }] }}>{children}</View>
}
