import { inOrder } from '../../event/eventOrder'
import { standing } from '../../event/struckOut'
import type { MiseEvent } from '../doing/miseEvent'

/** What was made or came at one time, with a label. */
export type MiseLot = {
  id: string
  itemId: string
  /** What stands on its label: M- and four signs of its id. */
  name: string
  atMs: number
  massG: number
  leftG: number
  useByMs: number | null
  placeId: string | null
}
/** What somebody found at a place, and what was expected there. */
export type Count = {
  eventId: string
  deviceId: string
  atMs: number
  massG: number
  expectedG: number | null
  placeId: string | null
}
/** What should be there of an item: its lots, and what is loose [g]. */
export type ItemStock = {
  itemId: string
  lots: MiseLot[]
  /** Found beyond the lots: counted without a label [g]. */
  looseG: number
  lastCount: Count | null
  /** Another device's count within the hour that disagrees with the last one. */
  otherCount: Count | null
  wastedG: number
}

/** Two counts of one item within so long of each other are one stock-take. */
const SAME_COUNT_MS = 3_600_000
const AGREE_FRACTION = 0.05

/** A short name for a lot that people can say, from the id of its event. */
export const lotNameOf = (eventId: string) => `M-${eventId.replaceAll('-', '').slice(-4).toUpperCase()}`
const noStock = (itemId: string): ItemStock => ({
  itemId,
  lots: [],
  looseG: 0,
  lastCount: null,
  otherCount: null,
  wastedG: 0,
})

/** What should be there in all [g]. */
export const stockG = ({ lots, looseG }: Pick<ItemStock, 'lots' | 'looseG'>): number =>
  lots.reduce((sum, lot) => sum + lot.leftG, looseG)

/**
 * What there is of every item, by what was said: made and delivered is a lot; what was taken or wasted leaves the oldest lot
 * first; a count is all that was found, so the oldest lots lose what is missing, and what is too much lies loose. Two devices
 * that count one item within the hour and disagree are both kept, and the later one counts until somebody settles it by naming
 * both, or a third count is said. What was settled is settled whatever the clocks of the devices said.
 */
export function foldStock(said: readonly MiseEvent[], from: readonly ItemStock[] = []): Map<string, ItemStock> {
  const stock = new Map(from.map((one) => [one.itemId, { ...one, lots: one.lots.map((lot) => ({ ...lot })) }]))
  const of = (itemId: string): ItemStock => {
    const known = stock.get(itemId)
    if (known) return known
    const made = noStock(itemId)
    stock.set(itemId, made)
    return made
  }
  const events = standing(inOrder(said))
  const settled = new Map(
    events.flatMap((event) => (event.kind === 'settled' ? [[pairOf(event.keptId, event.otherId), event.keptId]] : [])),
  )
  for (const event of events) {
    switch (event.kind) {
      case 'ended':
        for (const { itemId, massG } of event.took) takeOldest(of(itemId), massG)
        if (event.gave) addLot(of(event.gave.itemId), { ...event.gave, id: event.id, atMs: event.atMs })
        break
      case 'delivered':
        if (event.massG > 0) addLot(of(event.itemId), { ...event, placeId: null })
        break
      case 'counted':
        countItem(of(event.itemId), event, settled)
        break
      case 'settled':
        settle(of(event.itemId), event.keptId, event.otherId)
        break
      case 'wasted': {
        const item = of(event.itemId)
        const lot = item.lots.find((one) => one.id === event.lotId)
        item.wastedG += lot ? takeFrom(lot, event.massG) : takeOldest(item, event.massG)
        break
      }
      default:
        break
    }
  }
  for (const item of stock.values()) item.lots = item.lots.filter((lot) => lot.leftG > 0.5)
  return stock
}

type NewLot = {
  id: string
  itemId: string
  atMs: number
  massG: number
  useByMs: number | null
  placeId: string | null
}

function addLot(item: ItemStock, { id, itemId, atMs, massG, useByMs, placeId }: NewLot): void {
  if (item.lots.some((lot) => lot.id === id)) return
  item.lots.push({ id, itemId, name: lotNameOf(id), atMs, massG, leftG: massG, useByMs, placeId })
  item.lots.sort(oldestFirst)
}

/** In the order of use: what must be used first, then what was made first. */
export const oldestFirst = (a: MiseLot, b: MiseLot) =>
  (a.useByMs ?? Infinity) - (b.useByMs ?? Infinity) || a.atMs - b.atMs || (a.id < b.id ? -1 : 1)

/** Takes a mass, loose first, then the oldest lot first; what it took [g]. */
export function takeOldest(item: ItemStock, massG: number): number {
  let open = massG
  const loose = Math.min(open, item.looseG)
  item.looseG -= loose
  open -= loose
  for (const lot of item.lots) open -= takeFrom(lot, open)
  return massG - open
}

function takeFrom(lot: MiseLot, massG: number): number {
  const taken = Math.min(lot.leftG, massG)
  lot.leftG -= taken
  return taken
}

const pairOf = (oneId: string, otherId: string): string => [oneId, otherId].sort().join(' ')

type Counted = Extract<MiseEvent, { kind: 'counted' }>

function countItem(item: ItemStock, event: Counted, settled: ReadonlyMap<string, string>): void {
  const { id, deviceId, atMs, massG, expectedG, placeId } = event
  const count: Count = { eventId: id, deviceId, atMs, massG, expectedG, placeId }
  const { lastCount, otherCount } = item
  const isOther = lastCount !== null && lastCount.deviceId !== deviceId && atMs - lastCount.atMs <= SAME_COUNT_MS
  const isApart = isOther && Math.abs(lastCount.massG - massG) > AGREE_FRACTION * Math.max(lastCount.massG, massG)
  const keptId = lastCount ? settled.get(pairOf(lastCount.eventId, id)) : undefined
  if (lastCount && keptId === lastCount.eventId) return
  item.otherCount = isApart && otherCount === null && keptId === undefined ? lastCount : null
  item.lastCount = count
  correctBy(item, massG - stockG(item))
}

/** Two counts that were folded before somebody said which is right. */
function settle(item: ItemStock, keptId: string, otherId: string): void {
  const { lastCount, otherCount } = item
  if (!lastCount || !otherCount || pairOf(lastCount.eventId, otherCount.eventId) !== pairOf(keptId, otherId)) return
  if (keptId === otherCount.eventId) {
    item.lastCount = otherCount
    correctBy(item, otherCount.massG - lastCount.massG)
  }
  item.otherCount = null
}

function correctBy(item: ItemStock, massG: number): void {
  if (massG >= 0) item.looseG += massG
  else takeOldest(item, -massG)
}
