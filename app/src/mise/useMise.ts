import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { MiseEvents, type MiseEvent } from 'contract/mise/event'
import { MiseHouse, type MisePolicy } from 'contract/mise/house'
import { MisePlan, MisePlanList } from 'contract/mise/plan'
import { MiseStock, type StockRow } from 'contract/mise/stock'
import { foldStock } from 'core/mise/stock/foldStock'
import { useMemo } from 'react'
import { getJson, sendJson } from '../device/http'
import { deviceId, newId, stampNow } from '../device/ids'
import { post, useOutbox, type Parcel } from '../device/outbox'

export const useMiseHouse = () =>
  useQuery({ queryKey: ['mise', 'house'], queryFn: ({ signal }) => getJson('/mise/house', MiseHouse, signal) })

/** SaidOfMise here and not yet known to the kitchen. */
function unsentOf(parcels: readonly Parcel[]): MiseEvent[] {
  return parcels.flatMap((parcel) =>
    parcel.kind === 'miseEvents' && parcel.refusal === null
      ? (MiseEvents.safeParse(parcel.body).data?.events ?? [])
      : [],
  )
}

/** Services to come with their plans, and with what this device said and has not sent yet. */
export function useMisePlans() {
  const query = useQuery({
    queryKey: ['mise', 'plans'],
    queryFn: ({ signal }) => getJson('/mise/plans', MisePlanList, signal),
  })
  const parcels = useOutbox()
  const plans = useMemo(() => {
    const unsent = unsentOf(parcels)
    return (query.data?.plans ?? []).map((plan): MisePlan => {
      const own = unsent.filter((event) => event.day === plan.id)
      return own.length === 0 ? plan : { ...plan, events: [...plan.events, ...own] }
    })
  }, [query.data, parcels])
  return { ...query, plans }
}

/** What should be there, in walking order, with counts, waste and what was made here not yet sent. */
export function useStock() {
  const query = useQuery({
    queryKey: ['mise', 'stock'],
    queryFn: ({ signal }) => getJson('/mise/stock', MiseStock, signal),
  })
  const parcels = useOutbox()
  const rows = useMemo(() => withUnsent(query.data?.rows ?? [], unsentOf(parcels)), [query.data, parcels])
  return { ...query, rows }
}

/** Items that an event is about: the rows of all others stay the very same, so that they are not drawn again. */
function itemsOf(event: MiseEvent): string[] {
  switch (event.kind) {
    case 'counted':
    case 'settled':
    case 'wasted':
    case 'delivered':
      return [event.itemId]
    case 'ended':
      return [...event.took.map((one) => one.itemId), ...(event.gave ? [event.gave.itemId] : [])]
    default:
      return []
  }
}

export function withUnsent(rows: readonly StockRow[], unsent: readonly MiseEvent[]): readonly StockRow[] {
  if (unsent.length === 0) return rows
  const touched = new Set(unsent.flatMap(itemsOf))
  const folded = foldStock(
    unsent,
    rows.filter((row) => touched.has(row.itemId)),
  )
  return rows.map((row) => {
    const now = touched.has(row.itemId) ? folded.get(row.itemId) : undefined
    return now ? { ...row, ...now, lots: [...now.lots] } : row
  })
}

type WithoutHead<T> = T extends unknown ? Omit<T, 'id' | 'day' | 'deviceId' | 'atMs' | 'counter'> : never
export type SaidOfMise = WithoutHead<MiseEvent>

/** Says something of a day's mise, or several things at once: kept here first, then sent. Returns the ids, to take them back. */
export function sayOfMise(planId: string, ...said: SaidOfMise[]): string[] {
  const events = said.map((words) => ({
    ...words,
    id: newId(),
    day: planId,
    deviceId: deviceId(),
    ...stampNow(),
  }))
  post({ kind: 'miseEvents', subjectId: planId, path: '/mise/events', body: { events } })
  return events.map((event) => event.id)
}

export const undoMise = (planId: string, ids: readonly string[]): void =>
  void sayOfMise(planId, ...ids.map((eventId) => ({ kind: 'undone' as const, eventId: eventId as MiseEvent['id'] })))

/** Draws a plan, or draws it anew; where somebody else did meanwhile, theirs is shown. */
export function useDrawPlan() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ id, version }: { id: string; version: number }) =>
      sendJson('POST', `/mise/plans/${id}`, { version }, MisePlan),
    onSettled: () => queries.invalidateQueries({ queryKey: ['mise'] }),
  })
}

export function useSaveMisePolicy() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ version, policy }: { version: number; policy: MisePolicy }) =>
      sendJson('PUT', '/mise/house', { version, policy }, MiseHouse),
    onSettled: () => queries.invalidateQueries({ queryKey: ['mise'] }),
  })
}
