import {
  DndContext,
  MouseSensor,
  TouchSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DragMoveEvent,
} from '@dnd-kit/core'
import { useDeferredValue, useMemo, useState, type ReactNode, type Ref } from 'react'
import { View } from 'react-native'
import { kitchenNowMs } from '../../device/clock'
import { newId } from '../../device/ids'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { formatClock, formatTimeS } from '../../words/format'
import { useWords } from '../../words/i18n'
import { laneX, yAt, type LaneGeometry } from '../laneGeometry'
import { useLineWords } from '../lineWords'
import { sayWish } from '../plan/useLineState'
import type { Line, ShownBatch } from '../useLinePlan'
import { DragOf, type DraggableProps } from './dragOf'
import { dropOf, droppedBatch, ticketsWith, type Drop } from './drop'
import { pinPrice } from './wishing'

const MOUSE = { activationConstraint: { distance: 6 } }
/** A finger scrolls; it drags what it has rested on. */
const TOUCH = { activationConstraint: { delay: 250, tolerance: 8 } }
const NOTICED_S = 5

const nothing = () => undefined
/** Where a batch was let go is said by the toast, with its way back. */
const SAID_BY_TOAST = { onDragStart: nothing, onDragOver: nothing, onDragEnd: nothing, onDragCancel: nothing }

type DragBatchesProps = { line: Line; geometry: LaneGeometry; children: ReactNode }

/** Lets batches of the plan be dragged to another station or another time; the plan answers what it costs while they are held. */
export function DragBatches({ line, geometry, children }: DragBatchesProps) {
  const t = useWords('line')
  const words = useLineWords(line)
  const sensors = useSensors(useSensor(MouseSensor, MOUSE), useSensor(TouchSensor, TOUCH))
  const [held, setHeld] = useState<{ batch: ShownBatch; drop: Drop } | null>(null)
  const { stations } = line.kitchen
  const heldAt = ({ active, delta }: Pick<DragMoveEvent, 'active' | 'delta'>) => {
    const batch = line.batches.find(({ key }) => key === String(active.id))
    return batch && { batch, drop: dropOf(batch, delta, { geometry, stations, downIds: line.wishes.downStations }) }
  }
  const letGo = ({ batch, drop }: NonNullable<typeof held>) => {
    const dropped = droppedBatch(batch, drop, line.wishes.tickets, newId)
    if (!dropped) return
    sayWish(...dropped.wishes)
    toast(
      t(drop.laterS < 0 ? 'hand.draggedFirst' : 'hand.pinned', {
        dish: `${batch.dish.shortName} ${batch.portions}`,
        tickets: words.tickets(batch),
      }),
      () => sayWish(...dropped.undo),
    )
  }
  return (
    <DndContext
      sensors={sensors}
      accessibility={{
        container: document.body,
        announcements: SAID_BY_TOAST,
        screenReaderInstructions: { draggable: t('hand.dragHow') },
      }}
      onDragMove={(event) => {
        const next = heldAt(event)
        if (next && !isSame(held, next)) setHeld(next)
      }}
      onDragCancel={() => setHeld(null)}
      onDragEnd={(event) => {
        const last = heldAt(event)
        setHeld(null)
        if (last) letGo(last)
      }}
    >
      <DragOf value={draggable}>{children}</DragOf>
      {held && <Ghost line={line} geometry={geometry} {...held} />}
    </DndContext>
  )
}

type Held = { batch: ShownBatch; drop: Drop }
const isSame = (a: Held | null, b: Held) =>
  a !== null &&
  a.batch.key === b.batch.key &&
  a.drop.stationId === b.drop.stationId &&
  a.drop.laterS === b.drop.laterS &&
  a.drop.isPossible === b.drop.isPossible

/** Where a held batch would be, what that means, and what it costs. */
function Ghost({ line, geometry, batch, drop }: Held & Omit<DragBatchesProps, 'children'>) {
  const t = useWords('line')
  const words = useLineWords(line)
  const lane = line.kitchen.stations.findIndex(({ id }) => id === drop.stationId)
  const station = line.kitchen.stations[lane]
  const startMs = batch.startMs + drop.laterS * 1000
  const topPx = Math.max(geometry.nowLinePx, yAt(geometry, line.atMs, startMs))
  const heightPx = ((batch.upMs - batch.startMs) / 1000) * geometry.pxPerS
  const isRight = lane + 1 < line.kitchen.stations.length || line.kitchen.stations.length === 1
  const xPx = laneX(geometry, lane)
  return (
    <View className="pointer-events-none absolute inset-0 z-10">
      <View
        className={`absolute border-2 ${drop.isPossible ? 'border-celadon' : 'border-dashed border-line'}`}
        style={{ left: xPx, top: topPx, width: geometry.channelPx, height: Math.max(24, heightPx) }}
      />
      <View
        className="absolute gap-0.5 rounded-lg border-2 border-celadon bg-plate p-2"
        style={{ left: isRight ? xPx + geometry.channelPx + 6 : xPx - 168, top: topPx, width: 162 }}
      >
        <Text weight="bold">{`${batch.dish.shortName} ${batch.portions} · ${station?.name ?? ''}`}</Text>
        {drop.isPossible ? (
          <>
            <Text>
              {drop.laterS > 0
                ? t('hand.dragLater', { time: formatTimeS(startMs, line.kitchen.timeZone) })
                : drop.laterS < 0
                  ? t('hand.dragFirst', { tickets: words.tickets(batch) })
                  : t('hand.dragAsPlanned')}
            </Text>
            <Price line={line} batch={batch} drop={drop} />
          </>
        ) : (
          <Text>{t('hand.dragNot')}</Text>
        )}
      </View>
    </View>
  )
}

function Price({ line, batch, drop }: Held & { line: Line }) {
  const t = useWords('line')
  // The hand is followed first; what it costs is a plan of its own.
  const asked = useDeferredValue(drop)
  const moreS = useMemo(() => {
    const dropped = droppedBatch(batch, asked, line.wishes.tickets, () => HELD_PIN)
    if (!dropped) return 0
    return pinPrice(line, dropped.pin, kitchenNowMs(), ticketsWith(line.wishes.tickets, dropped.wishes)).moreS
  }, [line, batch, asked])
  if (Math.abs(moreS) < NOTICED_S) return <Text weight="bold">{t('hand.costsNothing')}</Text>
  return (
    <Text weight="bold">
      {moreS > 0 ? t('hand.costs', { time: formatClock(moreS) }) : t('hand.saves', { time: formatClock(-moreS) })}
    </Text>
  )
}
/** A pin that is only priced. */
const HELD_PIN = 'held'

function Draggable({ batchKey, draw }: DraggableProps) {
  const { setNodeRef, listeners } = useDraggable({ id: batchKey })
  return draw({ ref: setNodeRef as unknown as Ref<View>, ...(listeners as object) })
}
const draggable = (props: DraggableProps) => <Draggable {...props} />
