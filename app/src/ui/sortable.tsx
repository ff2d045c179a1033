import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type Announcements,
  type UniqueIdentifier,
} from '@dnd-kit/core'
import {
  sortableKeyboardCoordinates,
  SortableContext,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import GripVertical from 'lucide-react-native/icons/grip-vertical'
import type { ReactNode, Ref } from 'react'
import { View } from 'react-native'
import { useWords } from '../words/i18n'
import { Icon } from './icons'

type SortableProps = {
  ids: readonly string[]
  nameOf: (id: string) => string
  onMove: (id: string, to: number) => void
  children: ReactNode
}

const DRAG_FROM_PX = 4

/** A list whose rows are dragged by a handle: with a finger, a mouse, or Space and the arrow keys, each move read aloud. */
export function Sortable({ ids, nameOf, onMove, children }: SortableProps) {
  const t = useWords('ui')
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const name = (id: UniqueIdentifier) => nameOf(String(id))
  const place = (id: UniqueIdentifier) => ids.indexOf(String(id)) + 1
  const announcements: Announcements = {
    onDragStart: ({ active }) => t('sort.taken', { name: name(active.id), n: place(active.id), all: ids.length }),
    onDragOver: ({ active, over }) =>
      over ? t('sort.over', { name: name(active.id), n: place(over.id), all: ids.length }) : undefined,
    onDragEnd: ({ active, over }) =>
      over ? t('sort.put', { name: name(active.id), n: place(over.id), all: ids.length }) : undefined,
    onDragCancel: ({ active }) => t('sort.cancelled', { name: name(active.id) }),
  }
  return (
    <DndContext
      sensors={sensors}
      collisionDetection={closestCenter}
      accessibility={{
        container: document.body,
        announcements,
        screenReaderInstructions: { draggable: t('sort.how') },
      }}
      onDragEnd={({ active, over }) => {
        if (over && over.id !== active.id) onMove(String(active.id), ids.indexOf(String(over.id)))
      }}
    >
      <SortableContext items={[...ids]} strategy={verticalListSortingStrategy}>
        {children}
      </SortableContext>
    </DndContext>
  )
}

/** A row of a `Sortable`: what its container and its handle take. */
export function useSortableRow(id: string) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id,
  })
  return {
    row: {
      ref: setNodeRef as unknown as Ref<View>,
      style: {
        ...(transform && { transform: [{ translateY: transform.y }] }),
        ...(transition && { transition }),
        ...(isDragging && { zIndex: 1, opacity: 0.85 }),
      },
    },
    handle: { ...attributes, ...listeners, ref: setActivatorNodeRef as unknown as Ref<View> } as object,
  }
}

export function SortableHandle({ handle, label }: { handle: object; label: string }) {
  return (
    <View
      {...handle}
      aria-label={label}
      className="ring-focus hold min-h-14 w-7 items-center justify-center rounded-lg"
    >
      <Icon as={GripVertical} sizePx={24} />
    </View>
  )
}
