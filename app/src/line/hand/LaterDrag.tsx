import { lazy, Suspense, type ComponentProps } from 'react'
import { laterScreens } from '../../ui/preloadScreens'
import type { DragBatches } from './DragBatches'

const Drag = lazy(async () => ({ default: (await laterScreens()).DragBatches }))

/** As `DragBatches`, which is fetched once the line stands: until then its batches are drawn, and not dragged. */
export function LaterDrag(props: ComponentProps<typeof DragBatches>) {
  return (
    <Suspense fallback={props.children}>
      <Drag {...props} />
    </Suspense>
  )
}
