import type { ComplaintSubject, ComplaintWord, NotedComplaint } from 'contract/faults'
import type { EventId, RunId } from 'contract/ids'
import type { Parcel } from '../../device/outbox'
import { isSameSubject, withUnsent } from './useComplaints'

const id = (n: number) => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}` as EventId
const ofRun: ComplaintSubject = { kind: 'run', runId: id(90) as string as RunId }
const noted: NotedComplaint = {
  id: id(1),
  of: ofRun,
  what: 'bland',
  staffId: 'wen',
  atMs: 1_764_000_000_000,
  takenBackAtMs: null,
}
const parcel = (body: ComplaintWord, refusal: Parcel['refusal'] = null): Parcel => ({
  id: body.id,
  kind: 'complaint',
  subjectId: id(1),
  path: '/complaints',
  body,
  refusal,
  kitchenId: null,
  failures: 0,
})
const complained = (n: number): ComplaintWord => ({
  kind: 'complained',
  id: id(n),
  of: ofRun,
  what: 'mushy',
  atMs: noted.atMs + n,
})
const takenBack = (n: number, complaintId: EventId): ComplaintWord => ({
  kind: 'takenBack',
  id: id(n),
  complaintId,
  atMs: noted.atMs + n,
})

test('what was said here and is not sent yet stands above what the kitchen knows, the newest first, once', () => {
  const shown = withUnsent(
    [noted],
    [parcel(complained(2)), parcel(complained(3)), parcel({ ...complained(1), id: id(1) })],
  )
  expect(shown.map((one) => one.id)).toEqual([id(3), id(2), id(1)])
  expect(shown[2]).toEqual(noted)
})

test('what was taken back here is struck out at once, whether the kitchen knows the complaint or not', () => {
  const shown = withUnsent([noted], [parcel(complained(2)), parcel(takenBack(5, id(2))), parcel(takenBack(6, id(1)))])
  expect(shown.map(({ takenBackAtMs }) => takenBackAtMs)).toEqual([noted.atMs + 5, noted.atMs + 6])
})

test('what the kitchen refused is not shown as if it stood', () => {
  const refusal = { type: '', title: '', status: 404, detail: '', code: 'unknown-run', faults: [], values: {} } as const
  const refused = { ...refusal, faults: [], values: {} } as Parcel['refusal']
  expect(withUnsent([noted], [parcel(complained(2), refused)])).toEqual([noted])
})

test('an evening of one dish is another subject than the evening of all', () => {
  const evening = (dishId: string | null): ComplaintSubject => ({ kind: 'evening', day: '2026-11-27', dishId })
  expect(isSameSubject(evening(null), evening(null))).toBe(true)
  expect(isSameSubject(evening('duck'), evening(null))).toBe(false)
  expect(isSameSubject(ofRun, evening(null))).toBe(false)
})
