import { LineWish } from './line'
import { RunEvent } from './run'
import { StationEvent } from './station'

const ID = '01900000-0000-7000-8000-000000000001'
const OTHER = '01900000-0000-7000-8000-000000000002'
const AT_MS = Date.UTC(2026, 10, 27, 18, 42)
const said = { id: ID, deviceId: 'tablet', staffId: null, atMs: AT_MS }
const takes = (schema: { safeParse: (value: unknown) => { success: boolean } }, value: unknown) =>
  schema.safeParse(value).success

describe('what is said of a station', () => {
  const washed = { ...said, stationId: 'ring-a', kind: 'washed' }
  const undone = { ...said, stationId: 'ring-a', kind: 'undone', eventId: OTHER, was: { kind: 'washed', atMs: AT_MS } }

  test.each([
    ['a wash', washed],
    ['a wipe', { ...washed, kind: 'wiped' }],
    ['a wash taken back', undone],
  ])('%s is taken', (_, event) => expect(takes(StationEvent, event)).toBe(true))

  test.each([
    ['a word that is none', { ...washed, kind: 'dusted' }],
    ['taken back without what it was', { ...undone, was: undefined }],
    ['taking back what took something back', { ...undone, was: { kind: 'undone', atMs: AT_MS } }],
    ['a wash that names another word', { ...washed, eventId: OTHER }],
    ['a time in seconds', { ...washed, atMs: AT_MS / 1000 }],
    ['no device', { ...washed, deviceId: '' }],
  ])('%s is refused', (_, event) => expect(takes(StationEvent, event)).toBe(false))
})

describe('a station on the line', () => {
  const wish = { ...said, counter: 0, kind: 'station', stationId: 'ring-a', isDown: true }
  test('is down for good, until an instant, or cooks; as old devices say it too', () => {
    expect(takes(LineWish, wish)).toBe(true)
    expect(takes(LineWish, { ...wish, backAtMs: null })).toBe(true)
    expect(takes(LineWish, { ...wish, backAtMs: AT_MS + 600_000 })).toBe(true)
    expect(takes(LineWish, { ...wish, backAtMs: 20 })).toBe(false)
  })
})

describe('what ran out', () => {
  const ranOut = { id: ID, runId: OTHER, deviceId: 'd', atMs: AT_MS, counter: 0, kind: 'trouble', stepId: 's' }
  const standIn = { ingredientId: 'leek', name: 'leek' }
  test('may have something in its place, by a name of one line; what was forgotten may not', () => {
    const of = (more: object) => takes(RunEvent, { ...ranOut, trouble: 'ranOut', componentId: 'scallion', ...more })
    expect([of({}), of({ standIn })]).toEqual([true, true])
    expect(of({ standIn: { ...standIn, name: 'leek\u0000' } })).toBe(false)
    expect(of({ standIn: { ...standIn, name: 'le\nek' } })).toBe(false)
    expect(of({ standIn: { ...standIn, name: ' ' } })).toBe(false)
    expect(of({ standIn: { ...standIn, massG: 20 } })).toBe(false)
    expect(takes(RunEvent, { ...ranOut, trouble: 'forgot', componentId: 'scallion', standIn })).toBe(false)
  })
})
