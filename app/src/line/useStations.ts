import { useQuery } from '@tanstack/react-query'
import { StationEvents, StationPasts, type StationEvent, type StationPastRow } from 'contract/station'
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

function withSaid(pasts: readonly StationPastRow[], parcels: readonly Parcel[]): StationPastRow[] {
  const said = parcels
    .filter((parcel) => parcel.kind === 'stationEvents' && parcel.refusal === null)
    .flatMap((parcel) => StationEvents.safeParse(parcel.body).data?.events ?? [])
  return pasts.map((past) => {
    const own = said.filter((event) => event.stationId === past.stationId)
    const latest = (kind: StationEvent['kind'], knownMs: number | null) =>
      own.reduce((ms, event) => (event.kind === kind ? Math.max(ms ?? 0, event.atMs) : ms), knownMs)
    return {
      ...past,
      washedAtMs: latest('washed', past.washedAtMs),
      wipedAtMs: latest('wiped', past.wipedAtMs),
      brushedAtMs: latest('brushed', past.brushedAtMs),
    }
  })
}

/** Says that a station was washed in full, or cleaned for the next dish: done by hand, and said by hand. */
export function sayCleaned(stationId: string, kind: StationEvent['kind']): void {
  const event = {
    id: newId(),
    stationId,
    kind,
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
