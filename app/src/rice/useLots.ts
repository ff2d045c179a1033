import type { EventId } from 'contract/ids'
import { useQuery } from '@tanstack/react-query'
import { leadIdsOf, type Kitchen } from 'contract/kitchen'
import { Lot, LotList, NewLot, SaidOfLots, type LotEvent, type SaidOfLot } from 'contract/rice'
import { RiceHouse } from 'contract/riceHouse'
import { COOLING_LIMITS } from 'core/safety/coolingLimits'
import { inOrderOfUse, type LotOnHand } from 'core/rice/lot/allocate'
import { riceInSteps, type RiceNow } from 'core/line/batchHeat'
import { lotState } from 'core/rice/lot/lot'
import { CHILLED_RICE, riceAtWok } from 'core/rice/lot/riceAtWok'
import { isBelow } from 'core/measure/temperature'
import type { HousePolicy, LotState } from 'core/rice/lot/lotState'
import { useMemo } from 'react'
import { kitchenNowMs, useNowMs, useNowMsInSlices } from '../device/clock'
import { getJson } from '../device/http'
import { deviceId, newId, stampNow } from '../device/ids'
import { post, useOutbox, type Parcel } from '../device/outbox'
import { currentPersonId } from '../people/me'
import { useKitchen } from '../setup/useKitchen'

/** A lot with what it comes to now; one that the kitchen has not numbered yet is waiting. */
export type ShownLot = { lot: Lot; state: LotState; isUnsent: boolean }

const FOLD_MS = 5000

export const useRiceHouse = () =>
  useQuery({ queryKey: ['rice', 'house'], queryFn: ({ signal }) => getJson('/rice/house', RiceHouse, signal) })

/** Lots that are not over, folded to now, with what this device has said and not yet sent. */
export function useLots() {
  const query = useQuery({
    queryKey: ['rice', 'lots'],
    queryFn: ({ signal }) => getJson('/rice/lots', LotList, signal),
  })
  const kitchen = useKitchen().data
  const house = useRiceHouse()
  const parcels = useOutbox()
  const foldMs = Math.floor(useNowMsInSlices(FOLD_MS) / FOLD_MS) * FOLD_MS
  const lots = useMemo(
    () => (kitchen && house.data ? shownOnce(query.data?.lots ?? NO_LOTS, parcels, kitchen, house.data, foldMs) : []),
    [query.data, parcels, kitchen, house.data, foldMs],
  )
  return { ...query, error: query.error ?? house.error, isReady: Boolean(query.data && kitchen && house.data), lots }
}

const NO_LOTS: readonly Lot[] = []
let last: { asked: Parameters<typeof shownLots>; shown: ShownLot[] } | null = null

/** The lots of a moment are folded once, however many parts of a screen ask for them. */
function shownOnce(...asked: Parameters<typeof shownLots>): ShownLot[] {
  if (!last || last.asked.some((one, i) => one !== asked[i])) last = { asked, shown: shownLots(...asked) }
  return last.shown
}

/** One lot, open or over. */
export function useLot(id: string) {
  const query = useQuery({
    queryKey: ['rice', 'lot', id],
    queryFn: ({ signal }) => getJson(`/rice/lots/${id}`, Lot, signal),
  })
  const open = useLots()
  const kitchen = useKitchen().data
  const house = useRiceHouse().data
  const parcels = useOutbox()
  const nowMs = useNowMs(FOLD_MS)
  const found = useMemo(() => {
    const known = query.data ?? open.lots.find(({ lot }) => lot.id === id)?.lot
    if (!known || !kitchen || !house) return undefined
    return shownLots([known], parcels, kitchen, house, nowMs).find(({ lot }) => lot.id === id)
  }, [query.data, open.lots, kitchen, house, parcels, nowMs, id])
  return { ...query, found, kitchen, house, nowMs }
}

/** Lots that a batch may draw on, in the order in which it does. */
export function useOnHand(): LotOnHand[] {
  const { lots } = useLots()
  return useMemo(() => inOrderOfUse(lots.flatMap(onHandOf)), [lots])
}

/** How warm and how wet the rice is that the next batch takes, in the steps of a score; chilled where no lot says otherwise. */
export function useRiceNow(): RiceNow {
  const { lots } = useLots()
  const next = useMemo(() => {
    const [first] = inOrderOfUse(lots.flatMap(onHandOf))
    const shown = first && lots.find(({ lot }) => lot.id === first.id)
    return riceInSteps(shown ? riceAtWok(shown.state, shown.lot.load, kitchenNowMs()) : CHILLED_RICE)
  }, [lots])
  const { tempC, waterFraction, lumpMm } = next
  return useMemo(() => ({ tempC, waterFraction, lumpMm }), [tempC, waterFraction, lumpMm])
}

export function onHandOf({ lot, state }: ShownLot): LotOnHand[] {
  const { stage, massG, useByMs, cookedAtMs, isUsable } = state
  if (!isUsable || (stage !== 'ready' && stage !== 'tempering')) return []
  return [{ id: lot.id, name: lot.name, stage, massG, useByMs: useByMs ?? Infinity, cookedAtMs: cookedAtMs ?? 0 }]
}

export function shownLots(
  known: readonly Lot[],
  parcels: readonly Parcel[],
  kitchen: Kitchen,
  house: RiceHouse,
  nowMs: number,
): ShownLot[] {
  const policy = policyHere(kitchen, house)
  const waiting = parcels.filter((parcel) => parcel.refusal === null)
  const begun = waiting.filter((parcel) => parcel.kind === 'lot' && !known.some((lot) => lot.id === parcel.subjectId))
  const all = [
    ...known.map((lot) => ({ lot, isUnsent: false })),
    ...begun.flatMap((parcel) => localLot(parcel, kitchen).map((lot) => ({ lot, isUnsent: true }))),
  ]
  return all.map(({ lot, isUnsent }) => {
    const said = waiting.filter((parcel) => parcel.kind === 'lotEvents' && parcel.subjectId === lot.id)
    const events: LotEvent[] = [
      ...lot.events,
      ...said.flatMap((parcel) => (SaidOfLots.safeParse(parcel.body).data?.events ?? []).map(asUnheard)),
    ]
    const shown = { ...lot, events }
    return { lot: shown, state: lotState(shown, events, policy, Math.max(nowMs, latestMs(events))), isUnsent }
  })
}

/** What a lot is judged by: the kitchen's zone, what the house holds tighter, and who leads. */
export const policyHere = (kitchen: Kitchen, house: RiceHouse): HousePolicy => ({
  timeZone: kitchen.timeZone,
  keepDays: house.policy.keepDays,
  outMin: house.policy.outMin,
  leadIds: leadIdsOf(kitchen),
})

/** Said here and not heard by the kitchen yet; whether a reading is in doubt, the kitchen says. */
const asUnheard = (said: SaidOfLot): LotEvent =>
  said.kind === 'read' ? { ...said, doubt: null, heardMs: null } : { ...said, heardMs: null }

const latestMs = (events: readonly LotEvent[]) => events.reduce((ms, event) => Math.max(ms, event.atMs), 0)

/** A lot begun here that the kitchen does not know yet. */
function localLot(parcel: Parcel, kitchen: Kitchen): Lot[] {
  const begun = NewLot.safeParse(parcel.body)
  if (!begun.success) return []
  const { data } = begun
  const head = {
    id: data.id,
    name: '…',
    number: 0,
    origin: data.origin,
    bornAtMs: data.atMs,
    ruleSet: kitchen.ruleSet,
    events: [],
  }
  const nothing = { cookedAtMs: null, massG: null, tempC: null, tempF: null, place: null, placeId: null }
  if (data.origin === 'cooked') return [{ ...head, ...nothing, grain: 'long', load: data.load }]
  const { grain, cookedAtMs, massG, tempC, tempF = null, place, placeId } = data
  const { startC, startF } = COOLING_LIMITS[kitchen.ruleSet]
  const isHot = !isBelow({ tempC, tempF }, { tempC: startC, tempF: startF })
  return [
    {
      ...head,
      grain,
      load: null,
      ...(isHot ? { ...nothing, cookedAtMs } : { cookedAtMs, massG, tempC, tempF, place, placeId }),
    },
  ]
}

/** Begins a lot: kept here first, then sent. */
export function beginLot(lot: NewLot): void {
  post({ kind: 'lot', subjectId: lot.id, path: '/rice/lots', body: lot })
}

type WithoutHead<T> = T extends unknown ? Omit<T, 'id' | 'lotId' | 'deviceId' | 'atMs' | 'counter'> : never
export type SaidHere = WithoutHead<SaidOfLot>

type Saying = SaidHere | ((ids: EventId[]) => SaidHere)

/** Says something of a lot, or several things at once: kept here first, then sent. Returns the ids, to take them back. */
export function sayOfLot(lotId: string, ...said: [Saying, ...Saying[]]): [EventId, ...EventId[]] {
  const ids: EventId[] = []
  const events = said.map((one) => {
    const words = typeof one === 'function' ? one(ids) : one
    const id = newId<EventId>()
    ids.push(id)
    return { id, lotId, deviceId: deviceId(), staffId: currentPersonId(), ...stampNow(), ...words }
  })
  post({ kind: 'lotEvents', subjectId: lotId, path: `/rice/lots/${lotId}/events`, body: { events } })
  return ids as [EventId, ...EventId[]]
}
