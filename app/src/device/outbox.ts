import { ProblemDetails } from 'contract/problem'
import { useSyncExternalStore } from 'react'
import { z } from 'zod'
import { NoAnswer, Refused, sendJson } from './http'
import { onReachable } from './network'
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
    'miseEvents',
    'stationEvents',
  ]),
  /** The ticket, run, lot, dish or plan it belongs to. */
  subjectId: z.string(),
  path: z.string(),
  body: z.unknown(),
  refusal: ProblemDetails.nullable(),
})
export type Parcel = z.infer<typeof Parcel>

/** One key a parcel, named by its UUIDv7: two tabs never write the same key, and keys sort in the order of posting. */
const PREFIX = 'okazu.outbox/'
const RETRY_MS = 2000
const listeners = new Set<() => void>()
let parcels: readonly Parcel[] = read()
let isSending = false
let timer: ReturnType<typeof setTimeout> | null = null
let onDelivered: (parcel: Parcel, answer: unknown) => void = () => undefined

function read(): Parcel[] {
  return keptKeys(PREFIX).flatMap((key) => {
    const parcel = Parcel.safeParse(parseJson(readKept(key)))
    return parcel.success ? [parcel.data] : []
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
export function post(parcel: Omit<Parcel, 'id' | 'refusal'>): void {
  write({ ...parcel, id: v7(), refusal: null })
  void send()
}

export function dropParcel(id: string): void {
  forget(PREFIX + id)
  changed()
}

export function startOutbox(delivered: typeof onDelivered): () => void {
  onDelivered = delivered
  const stopStorage = onKeptElsewhere(PREFIX, changed)
  const stopReachable = onReachable(() => void send())
  void send()
  return () => {
    stopStorage()
    stopReachable()
  }
}

async function send(): Promise<void> {
  if (isSending) return
  isSending = true
  try {
    for (let parcel = next(); parcel; parcel = next()) {
      const answer = await sendJson('POST', parcel.path, parcel.body, z.unknown())
      onDelivered(parcel, answer)
      dropParcel(parcel.id)
    }
  } catch (error) {
    const parcel = next()
    if (error instanceof Refused && parcel) {
      write({ ...parcel, refusal: error.problem })
      setTimeout(() => void send())
    } else if (error instanceof NoAnswer) {
      if (timer) clearTimeout(timer)
      timer = setTimeout(() => void send(), RETRY_MS)
    } else {
      throw error
    }
  } finally {
    isSending = false
  }
}

const next = (): Parcel | undefined => read().find((parcel) => parcel.refusal === null)

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Everything this device still has to send or was refused. */
export function useOutbox(): readonly Parcel[] {
  return useSyncExternalStore(subscribe, () => parcels)
}
