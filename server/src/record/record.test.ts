import { Evening } from 'contract/evening'
import { Run, RunPage } from 'contract/run'
import { wholeAt } from 'core/line/past/lateTickets'
import { localDay } from 'core/time/localTime'
import { parse } from 'csv-parse/sync'
import { v7 as newId } from 'uuid'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import { runCsv, runsCsv } from './runs.csv'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen(2)), 60_000)
afterAll(() => kitchen.close())

const page = async (before = '') =>
  RunPage.parse((await send(kitchen.app, 'GET', `/record/runs${before && `?before=${before}`}`)).json)

const rowsOf = (csv: string): Record<string, string>[] => parse(csv, { columns: true })

test('pages go back in time without a gap or a repeat', async () => {
  const first = await page()
  const second = await page(first.next!)
  const all = [...first.runs, ...second.runs]
  expect(new Set(all.map((run) => run.id)).size).toBe(all.length)
  const times = all.map((run) => run.firedAtMs)
  expect(times).toEqual([...times].sort((a, b) => b - a))
  expect((await send(kitchen.app, 'GET', '/record/runs?before=nonsense')).status).toBe(422)
})

test('the CSV holds what the list holds, in a form another reader takes', async () => {
  const answer = await send(kitchen.app, 'GET', '/record/runs.csv')
  expect(answer.headers.get('content-type')).toBe('text/csv; charset=utf-8')
  expect(answer.headers.get('content-disposition')).toContain('okazu-runs.csv')
  const rows = rowsOf(answer.text)
  const { runs } = await page()
  expect(rows[0]).toMatchObject({ run: runs[0]!.id, dish: runs[0]!.dishName, portions: String(runs[0]!.portions) })
  expect(rows.length).toBeGreaterThan(runs.length)
})

test("a run's CSV adds up to the batch: what went in is what the score says", async () => {
  const { runs } = await page()
  const run = Run.parse((await send(kitchen.app, 'GET', `/runs/${runs[0]!.id}`)).json)
  const rows = rowsOf((await send(kitchen.app, 'GET', `/runs/${run.id}/steps.csv`)).text)
  const massG = rows
    .filter((row) => row['motion'] === 'in' || row['motion'] === 'plate')
    .reduce((sum, row) => sum + Number(row['massG']), 0)
  expect(Math.abs(massG - run.score.batchMassG)).toBeLessThan(0.1 * rows.length)
})

test('a name that a spreadsheet would take for a formula stays text', async () => {
  const { runs } = await page()
  const evil = { ...runs[0]!, dishName: '=HYPERLINK("http://x")' }
  const rows = rowsOf(runsCsv([evil]))
  expect(rows[0]!['dish']).toBe('\'=HYPERLINK("http://x")')
  const run = Run.parse((await send(kitchen.app, 'GET', `/runs/${runs[0]!.id}`)).json)
  expect(runCsv(run, 0)).toContain('\r\n')
})

test('the sample history is alive: late and punctual runs, checks answered, every run over', async () => {
  const { runs } = await page()
  expect(runs.every((run) => run.state === 'finished')).toBe(true)
  expect(runs.some((run) => (run.actualS ?? 0) > run.plannedS)).toBe(true)
  expect(new Set(runs.map((run) => run.stationId)).size).toBe(3)
})

describe('an evening', () => {
  const eveningOf = async (day: string) => {
    const { status, json } = await send(kitchen.app, 'GET', `/record/evenings/${day}`)
    expect(status).toBe(200)
    return Evening.parse(json)
  }
  const dayOf = (ms: number) => localDay(ms, 'Europe/London')

  test('holds the runs of its day and the tickets that they were for, each of them whole', async () => {
    const { runs } = await page()
    const day = dayOf(runs.at(-1)!.firedAtMs)
    const evening = await eveningOf(day)
    const ofDay = runs.filter(({ firedAtMs }) => dayOf(firedAtMs) === day).map(({ id }) => id)
    expect(ofDay.filter((id) => !evening.runs.some((run) => run.id === id))).toEqual([])
    expect(evening.runs.every(({ firedAtMs }) => dayOf(firedAtMs) === day)).toBe(true)
    expect(evening.tickets.every((ticket) => wholeAt(ticket, evening.runs) !== null)).toBe(true)
    expect(evening.isCut).toBe(false)
  })
  test('of a day without a run is empty; of no day at all it is refused', async () => {
    expect(await eveningOf('2020-02-29')).toMatchObject({ tickets: [], runs: [], isCut: false })
    expect((await send(kitchen.app, 'GET', '/record/evenings/yesterday')).status).toBe(422)
    expect((await send(kitchen.app, 'GET', '/record/evenings/2026-02-30')).status).toBe(422)
  })
  test('says the hands and the stations that were down as they stood on that day', async () => {
    const atMs = Math.round(kitchen.clock.now())
    const said = { deviceId: 'phone', staffId: null, counter: 0 }
    const down = (isDown: boolean, ms: number) => ({
      ...said,
      id: newId(),
      kind: 'station',
      stationId: 'ring-b',
      isDown,
      atMs: ms,
    })
    const wishes = [
      { ...said, id: newId(), kind: 'hands', pairs: 1, atMs: atMs - 9000 },
      down(true, atMs - 8000),
      down(false, atMs - 2000),
    ]
    expect((await send(kitchen.app, 'POST', '/line/wishes', { wishes })).status).toBe(200)
    const today = await eveningOf(dayOf(atMs))
    expect(today).toMatchObject({ pairs: 1, downs: [{ stationId: 'ring-b', fromMs: atMs - 8000, toMs: atMs - 2000 }] })
    expect(await eveningOf(dayOf(atMs - 3 * 86_400_000))).toMatchObject({ pairs: null, downs: [] })
  })
})
