import { lazy, Suspense, type ComponentProps, type ComponentType } from 'react'
import { laterScreens } from '../../ui/preloadScreens'
import type { DragBatches } from './DragBatches'

type Props = ComponentProps<typeof DragBatches>

const Still = ({ children }: Props) => children
const Drag = lazy((): Promise<{ default: ComponentType<Props> }> =>
  laterScreens().then(
    (screens) => ({ default: screens.DragBatches }),
    () => ({ default: Still }),
  ),
)

/** As `DragBatches`, which is fetched once the line stands: until then, and where it cannot be fetched, nothing is dragged. */
export function LaterDrag(props: Props) {
  return (
    <Suspense fallback={props.children}>
      <Drag {...props} />
    </Suspense>
  )
}
