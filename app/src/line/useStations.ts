import { useQuery } from '@tanstack/react-query'
import { StationEvents, StationPasts, type StationPastRow } from 'contract/station'
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
  const pasts = useMemo(() => withWashes(query.data?.stations ?? [], parcels), [query.data, parcels])
  return { ...query, pasts }
}

function withWashes(pasts: readonly StationPastRow[], parcels: readonly Parcel[]): StationPastRow[] {
  const said = parcels
    .filter((parcel) => parcel.kind === 'stationEvents' && parcel.refusal === null)
    .flatMap((parcel) => StationEvents.safeParse(parcel.body).data?.events ?? [])
  return pasts.map((past) => {
    const washes = said.filter((event) => event.stationId === past.stationId).map((event) => event.atMs)
    return washes.length === 0 ? past : { ...past, washedAtMs: Math.max(past.washedAtMs ?? 0, ...washes) }
  })
}

/** Says that a station was washed in full: done by hand, and said by hand. */
export function sayWashed(stationId: string): void {
  const event = {
    id: newId(),
    stationId,
    kind: 'washed',
    deviceId: deviceId(),
    staffId: currentPersonId(),
    atMs: stampNow().atMs,
  }
  post({
    kind: 'stationEvents',
    subjectId: stationId,
    path: `/stations/${stationId}/events`,
    body: { events: [event] },
  })
}
