import { ProblemDetails } from 'contract/problem'
import { useSyncExternalStore } from 'react'
import { z } from 'zod'
import { Failed, NoAnswer, Refused, sendJson } from './http'
import { kitchenNowMs } from './clock'
import { kitchenHere, onMoved } from './kitchenHere'
import { isReachableNow, onReachable } from './network'
import { forget, keep, keptKeys, onKeptElsewhere, readKept } from './storage'
import { v7 } from 'uuid'

/** Something to be sent, kept on this device until the server has it. Sending it twice changes nothing. */
const Parcel = z.object({
  id: z.string(),
  kind: z.enum([
    'ticket',
    'ticketEvents',
    'run',
    'runEvents',
    'lot',
    'lotEvents',
    'tasting',
    'complaint',
    'miseEvents',
    'stationEvents',
    'lineWishes',
  ]),
  /** The ticket, run, lot, dish, complaint or plan it belongs to. */
  subjectId: z.string(),
  path: z.string(),
  body: z.unknown(),
  refusal: ProblemDetails.nullable(),
  /** The kitchen in which it was said: in another one it waits until this device is back. */
  kitchenId: z.string().nullable().default(null),
  /** How often the server failed on it: from the third time on it stands aside, and is tried again now and then. */
  failures: z.int().default(0),
})
export type Parcel = z.infer<typeof Parcel>

/** One key a parcel, named by its UUIDv7: two tabs never write the same key, and keys sort in the order of posting. */
const PREFIX = 'okazu.outbox/'
const RETRY_MS = 2000
const ASIDE_AFTER = 3
const ASIDE_MS = 30_000
const listeners = new Set<() => void>()
let parcels: readonly Parcel[] = read()
let isSending = false
let timer: ReturnType<typeof setTimeout> | null = null
let onDelivered: Delivered = () => Promise.resolve()
/** Until when a parcel on which the server failed is left alone [ms of this device]. */
const restsUntilMs = new Map<string, number>()

/** Takes what the server answered to a parcel; the parcel is forgotten only when that is kept in its place. */
type Delivered = (parcel: Parcel, answer: unknown) => Promise<void>

/** What was said in the kitchen that this device is in; all of it while no kitchen lets it in. */
function read(): Parcel[] {
  const here = kitchenHere()
  return keptKeys(PREFIX).flatMap((key) => {
    const parcel = Parcel.safeParse(parseJson(readKept(key)))
    if (!parcel.success) return []
    const { kitchenId } = parcel.data
    return here === null || kitchenId === null || kitchenId === here ? [parcel.data] : []
  })
}

function parseJson(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null')
  } catch {
    return null
  }
}

function changed(): void {
  parcels = read()
  listeners.forEach((listener) => listener())
}

function write(parcel: Parcel): void {
  keep(PREFIX + parcel.id, JSON.stringify(parcel))
  changed()
}

/** Keeps a parcel and sends it as soon as the server answers; parcels leave in the order they were posted. */
export function post(parcel: Omit<Parcel, 'id' | 'refusal' | 'failures' | 'kitchenId'>): void {
  write({ ...parcel, id: v7(), refusal: null, failures: 0, kitchenId: kitchenHere() })
  void send()
}

export function dropParcel(id: string): void {
  forget(PREFIX + id)
  changed()
}

export function startOutbox(delivered: Delivered): () => void {
  onDelivered = delivered
  const stopStorage = onKeptElsewhere(PREFIX, changed)
  const stopMoves = onMoved(() => {
    changed()
    void send()
  })
  const stopReachable = onReachable(() => void send())
  void send()
  return () => {
    stopStorage()
    stopMoves()
    stopReachable()
  }
}

/** Whether the time of it could not be right, so that a person has to say when it was. */
export const isAskedAbout = ({ refusal }: Parcel): boolean =>
  refusal?.code === 'clock-ahead' || refusal?.code === 'clock-behind'

/** Sends what was refused for its time once more, as said now. */
export function sayNow(id: string): void {
  const parcel = read().find((one) => one.id === id)
  if (!parcel) return
  const atMs = Math.round(kitchenNowMs())
  write({ ...parcel, refusal: null, body: withTime(parcel.body, atMs) })
  void send()
}

function withTime(body: unknown, atMs: number): unknown {
  if (Array.isArray(body)) return body.map((one) => withTime(one, atMs))
  if (typeof body !== 'object' || body === null) return body
  const isTime = (key: string) => key === 'atMs' || key === 'firedAtMs'
  return Object.fromEntries(
    Object.entries(body).map(([key, value]) => [key, isTime(key) ? atMs : withTime(value, atMs)]),
  )
}

/** Whether the server failed on a parcel so often that the others go first. */
export const isAside = (parcel: Parcel): boolean => parcel.refusal === null && parcel.failures >= ASIDE_AFTER

async function send(): Promise<void> {
  if (isSending) return
  isSending = true
  try {
    for (let parcel = next(); parcel; parcel = next()) await sendOne(parcel)
    if (parcels.some((parcel) => parcel.refusal === null)) sendAgainIn(ASIDE_MS)
  } catch (error) {
    if (!(error instanceof NoAnswer)) throw error
    sendAgainIn(RETRY_MS)
  } finally {
    isSending = false
  }
}

/** @throws {NoAnswer} where nobody answered: whatever comes after it would fare no better. */
async function sendOne(parcel: Parcel): Promise<void> {
  try {
    const answer = await sendJson('POST', parcel.path, parcel.body, z.unknown())
    // The server has it, whatever becomes of the answer here.
    await onDelivered(parcel, answer).catch(() => undefined)
    restsUntilMs.delete(parcel.id)
    dropParcel(parcel.id)
  } catch (error) {
    if (error instanceof Refused) {
      write({ ...parcel, refusal: error.problem })
    } else if (error instanceof Failed) {
      const failures = parcel.failures + 1
      restsUntilMs.set(parcel.id, Date.now() + (failures >= ASIDE_AFTER ? ASIDE_MS : 0))
      write({ ...parcel, failures })
      if (failures < ASIDE_AFTER) throw error
    } else {
      throw error
    }
  }
}

function sendAgainIn(ms: number): void {
  if (timer) clearTimeout(timer)
  timer = setTimeout(() => void send(), ms)
}

/** The oldest parcel that may go: what belongs to one that stands aside waits with it, since it builds on it. */
function next(): Parcel | undefined {
  const waiting = read().filter((parcel) => parcel.refusal === null)
  const resting = waiting.filter((parcel) => (restsUntilMs.get(parcel.id) ?? 0) > Date.now())
  const subjects = new Set(resting.map((parcel) => parcel.subjectId))
  return waiting.find((parcel) => !subjects.has(parcel.subjectId))
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/**
 * Until what was said here of a subject has been sent, so that what builds on it does not arrive before it. It waits no longer
 * than `mostMs`, and not at all without a network.
 */
export function untilSent(subjectId: string, mostMs: number): Promise<void> {
  const waits = () =>
    isReachableNow() && parcels.some((one) => one.subjectId === subjectId && one.refusal === null && !isAside(one))
  if (!waits()) return Promise.resolve()
  return new Promise((resolve) => {
    const look = () => {
      if (!waits()) end()
    }
    const end = () => {
      clearTimeout(limit)
      stops.forEach((stop) => stop())
      resolve()
    }
    const limit = setTimeout(end, mostMs)
    const stops = [subscribe(look), onReachable(look)]
  })
}

/** Everything this device still has to send or was refused. */
export function useOutbox(): readonly Parcel[] {
  return useSyncExternalStore(subscribe, () => parcels)
}
