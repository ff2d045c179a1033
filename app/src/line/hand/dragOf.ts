import { createContext, type ReactNode } from 'react'

export type DraggableProps = {
  batchKey: string
  /** Draws the target of the batch with what it takes to be dragged, if anything does. */
  draw: (drag?: object) => ReactNode
}

/** Lets a batch be dragged; nothing does, until `DragBatches` is there. */
export const DragOf = createContext<(props: DraggableProps) => ReactNode>(({ draw }) => draw())
