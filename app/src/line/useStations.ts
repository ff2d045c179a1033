import { useQuery } from '@tanstack/react-query'
import { EventId } from 'contract/ids'
import { StationEvents, StationPasts, type StationEvent, type StationPastRow } from 'contract/station'
import type { StationWord } from 'core/line/stationPast'
import { useMemo } from 'react'
import { getJson } from '../device/http'
import { deviceId, newId, stampNow } from '../device/ids'
import { currentPersonId } from '../people/me'
import { post, useOutbox, type Parcel } from '../device/outbox'

/** What each station last cooked and when it was washed, with what this device said and has not sent yet. */
export function useStations() {
  const query = useQuery({
    queryKey: ['runs', 'stations'],
    queryFn: ({ signal }) => getJson('/stations', StationPasts, signal),
  })
  const parcels = useOutbox()
  const pasts = useMemo(() => withSaid(query.data?.stations ?? [], parcels), [query.data, parcels])
  return { ...query, pasts }
}

/** What the kitchen knows of its stations with what a device said since: what was taken back is not so, and nothing older holds. */
export function withSaid(pasts: readonly StationPastRow[], parcels: readonly Parcel[]): StationPastRow[] {
  const said = parcels
    .filter((parcel) => parcel.kind === 'stationEvents' && parcel.refusal === null)
    .flatMap((parcel) => StationEvents.safeParse(parcel.body).data?.events ?? [])
  const undone = said.flatMap((event) => (event.kind === 'undone' ? [event] : []))
  const gone = new Set<string>(undone.map(({ eventId }) => eventId))
  return pasts.map((past) => {
    const own = said.filter((event) => event.stationId === past.stationId && !gone.has(event.id))
    const latest = (kind: StationWord, knownMs: number | null) => {
      const isGone = undone.some(
        ({ stationId, was }) => stationId === past.stationId && was.kind === kind && was.atMs === knownMs,
      )
      return own.reduce(
        (ms, event) => (event.kind === kind ? Math.max(ms ?? 0, event.atMs) : ms),
        isGone ? null : knownMs,
      )
    }
    return {
      ...past,
      washedAtMs: latest('washed', past.washedAtMs),
      wipedAtMs: latest('wiped', past.wipedAtMs),
      brushedAtMs: latest('brushed', past.brushedAtMs),
    }
  })
}

type Said = Pick<StationEvent, 'id' | 'stationId' | 'atMs'> & { kind: StationWord }

/** Says that a station was washed in full, or cleaned for the next dish: done by hand, and said by hand. @returns how to take it back */
export function sayCleaned(stationId: string, kind: StationWord): () => void {
  const said = { ...saidNow(stationId), kind }
  send(said)
  return () => takeBack(said)
}

const takeBack = ({ id, stationId, kind, atMs }: Said): void =>
  send({ ...saidNow(stationId), kind: 'undone', eventId: id, was: { kind, atMs } })

const saidNow = (stationId: string) => ({
  id: EventId.parse(newId()),
  stationId,
  deviceId: deviceId(),
  staffId: currentPersonId(),
  atMs: stampNow().atMs,
})

function send(event: StationEvent): void {
  const { stationId } = event
  post({
    kind: 'stationEvents',
    subjectId: stationId,
    path: `/stations/${stationId}/events`,
    body: { events: [event] },
  })
}
