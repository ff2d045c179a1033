import type { StationPastRow } from 'contract/station'
import type { Parcel } from '../device/outbox'
import { withSaid } from './useStations'

const AT_MS = 1_764_000_000_000
const uuid = (n: number) => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}`
const known = (washedAtMs: number | null) =>
  [
    { stationId: 'ring-a', lastDishId: null, usedUntilMs: null, washedAtMs, wipedAtMs: null, brushedAtMs: null },
  ] as unknown as StationPastRow[]
const said = (...events: object[]): Parcel[] => [
  {
    kind: 'stationEvents',
    subjectId: 'ring-a',
    path: '/stations/ring-a/events',
    refusal: null,
    body: { events: events.map((one) => ({ stationId: 'ring-a', deviceId: 'd', staffId: null, ...one })) },
  } as unknown as Parcel,
]
const washed = { id: uuid(1), kind: 'washed', atMs: AT_MS }
const undone = { id: uuid(2), kind: 'undone', eventId: uuid(1), was: { kind: 'washed', atMs: AT_MS }, atMs: AT_MS + 1 }
const washedAt = (pasts: StationPastRow[], parcels: Parcel[]) => withSaid(pasts, parcels)[0]!.washedAtMs

test('a wash that was said here counts before the kitchen has it; taken back before it was sent it never was', () => {
  expect(washedAt(known(null), said(washed))).toBe(AT_MS)
  expect(washedAt(known(null), said(washed, undone))).toBeNull()
})

test('a wash that the kitchen has is not so once it is taken back here; another wash since then is', () => {
  expect(washedAt(known(AT_MS), said(undone))).toBeNull()
  expect(washedAt(known(AT_MS + 9000), said(undone))).toBe(AT_MS + 9000)
  expect(washedAt(known(AT_MS), said(undone, { ...washed, id: uuid(3), atMs: AT_MS + 5000 }))).toBe(AT_MS + 5000)
})
