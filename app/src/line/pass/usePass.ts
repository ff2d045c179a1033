import { useQuery } from '@tanstack/react-query'
import { Pass, TicketEvents, type PassTicket } from 'contract/ticket'
import { compareEvents } from 'core/event/eventOrder'
import { passNow, type PassTicket as OnPass } from 'core/line/pass/passNow'
import { useMemo } from 'react'
import { useNowMs } from '../../device/clock'
import { getJson } from '../../device/http'
import { useOutbox, type Parcel } from '../../device/outbox'
import type { Line } from '../useLinePlan'

/** The pass is worked out again so often by the clock alone [ms]. */
const EVERY_MS = 1000

/** A ticket on the pass with how it stands. */
export type ShownPass = { ticket: PassTicket['ticket']; ups: PassTicket['ups']; on: OnPass }

/** What stands on the pass, and what was handed over a moment ago; with what this device said and has not sent yet. */
export function usePass(line: Line | null) {
  const query = useQuery({ queryKey: ['tickets', 'pass'], queryFn: ({ signal }) => getJson('/pass', Pass, signal) })
  const parcels = useOutbox()
  const nowMs = useNowMs(EVERY_MS)
  const known = useMemo(() => withSaid(query.data?.tickets ?? [], parcels), [query.data, parcels])
  const waiting = known.filter(({ handedOverAtMs }) => handedOverAtMs === null)
  const dishes = useMemo(() => new Map((line?.dishes ?? []).map((dish) => [dish.id, dish])), [line?.dishes])
  const byId = new Map(waiting.map((one) => [one.ticket.id as string, one]))
  const inputs = waiting.map(({ ticket, ups }) => ({ ...ticket, ups }))
  const shown = passNow(inputs, dishes, line?.ups ?? new Map(), nowMs).flatMap((on): ShownPass[] => {
    const one = byId.get(on.id)
    return one ? [{ ticket: one.ticket, ups: one.ups, on }] : []
  })
  const handedOver = known.filter((one) => one.handedOverAtMs !== null).map(({ ticket }) => ticket)
  return { ...query, shown, handedOver, nowMs }
}

function withSaid(tickets: readonly PassTicket[], parcels: readonly Parcel[]): PassTicket[] {
  return tickets.map((one) => {
    const last = parcels
      .filter((parcel) => parcel.kind === 'ticketEvents' && parcel.subjectId === one.ticket.id && !parcel.refusal)
      .flatMap((parcel) => TicketEvents.safeParse(parcel.body).data?.events ?? [])
      .filter(({ kind }) => kind === 'handedOver' || kind === 'recalled')
      .sort(compareEvents)
      .at(-1)
    return last ? { ...one, handedOverAtMs: last.kind === 'handedOver' ? last.atMs : null } : one
  })
}
