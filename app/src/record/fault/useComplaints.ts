import { useQuery } from '@tanstack/react-query'
import { ComplaintList, ComplaintWord, type ComplaintSubject, type NotedComplaint } from 'contract/faults'
import { EventId } from 'contract/ids'
import type { Complaint } from 'core/record/faults/rank'
import { useMemo } from 'react'
import { getJson } from '../../device/http'
import { newId, stampNow } from '../../device/ids'
import { post, useOutbox, type Parcel } from '../../device/outbox'
import { currentPersonId } from '../../people/me'

/** What was complained of, newest first, with what this device said and has not sent yet. */
export function useComplaints() {
  const query = useQuery({
    queryKey: ['runs', 'complaints'],
    queryFn: ({ signal }) => getJson('/complaints', ComplaintList, signal),
  })
  const parcels = useOutbox()
  const complaints = useMemo(() => withUnsent(query.data?.complaints ?? [], parcels), [query.data, parcels])
  return { ...query, complaints }
}

/** Complaints as the kitchen has them with what a device said since. */
export function withUnsent(known: readonly NotedComplaint[], parcels: readonly Parcel[]): NotedComplaint[] {
  const words = parcels
    .filter((parcel) => parcel.kind === 'complaint' && parcel.refusal === null)
    .flatMap((parcel) => ComplaintWord.safeParse(parcel.body).data ?? [])
  const fresh = words.flatMap((word): NotedComplaint[] => {
    if (word.kind !== 'complained' || known.some(({ id }) => id === word.id)) return []
    const { id, of, what, atMs } = word
    return [{ id, of, what, atMs, staffId: currentPersonId(), takenBackAtMs: null }]
  })
  const gone = new Map(
    words.flatMap((word) => (word.kind === 'takenBack' ? [[word.complaintId, word.atMs] as const] : [])),
  )
  return [...fresh.reverse(), ...known].map((one) => ({
    ...one,
    takenBackAtMs: one.takenBackAtMs ?? gone.get(one.id) ?? null,
  }))
}

/** Whether two are of the same run, the same ticket, or the same evening and dish. */
export function isSameSubject(a: ComplaintSubject, b: ComplaintSubject): boolean {
  switch (a.kind) {
    case 'run':
      return b.kind === 'run' && a.runId === b.runId
    case 'ticket':
      return b.kind === 'ticket' && a.ticketId === b.ticketId
    case 'evening':
      return b.kind === 'evening' && a.day === b.day && a.dishId === b.dishId
  }
}

/** Writes a complaint down. */
export function complain(of: ComplaintSubject, what: Complaint): void {
  send({ kind: 'complained', id: EventId.parse(newId()), of, what, atMs: stampNow().atMs })
}

/** A complaint was a slip: it stays in the list, struck out. */
export function takeBack(complaintId: EventId): void {
  send({ kind: 'takenBack', id: EventId.parse(newId()), complaintId, atMs: stampNow().atMs })
}

function send(word: ComplaintWord): void {
  const subjectId = word.kind === 'complained' ? word.id : word.complaintId
  post({ kind: 'complaint', subjectId, path: '/complaints', body: word })
}
