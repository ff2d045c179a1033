import { Comparison, ComplaintList, type ComplaintSubject, type ComplaintWord } from 'contract/faults'
import { EventId } from 'contract/ids'
import { RunPage } from 'contract/run'
import { localDay } from 'core/time/localTime'
import { v7 as newId } from 'uuid'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen(2)))
afterAll(() => kitchen.close())

/** Every run of duck in the record, the newest first: a page holds forty. */
async function duckRuns(): Promise<RunPage['runs']> {
  const runs: RunPage['runs'] = []
  let before: string | null = ''
  while (before !== null) {
    const path = `/record/runs?dish=duck${before && `&before=${before}`}`
    const page: RunPage = RunPage.parse((await send(kitchen.app, 'GET', path)).json)
    runs.push(...page.runs)
    before = page.next
  }
  return runs
}

/** Those that were in time, without a trouble, and of which nobody complained. */
async function duckGoneWell(): Promise<RunPage['runs']> {
  const { complaints } = ComplaintList.parse((await send(kitchen.app, 'GET', '/complaints')).json)
  const isComplainedOf = (id: string) => complaints.some(({ of }) => of.kind === 'run' && of.runId === id)
  return (await duckRuns()).filter(
    (run) =>
      run.troubles === 0 && (run.afterPromiseS ?? 0) <= 120 && run.state === 'finished' && !isComplainedOf(run.id),
  )
}

test('a run of the sample kitchen stands beside those of its dish that went well, not beside itself', async () => {
  const well = await duckGoneWell()
  const answer = await send(kitchen.app, 'GET', `/runs/${well[0]!.id}/comparison`)
  const { runs: suspects, good } = Comparison.parse(answer.json)
  expect(good['duck']).toHaveLength(Math.min(30, well.length - 1))
  expect(suspects).toMatchObject([{ runId: well[0]!.id, dishId: 'duck', features: { riceG: well[0]!.riceMassG } }])
  expect(suspects[0]!.features.sauceG).toBeGreaterThan(0)
  expect(suspects[0]!.features.riceTimes).toBeGreaterThan(0.5)
})

test('a run that nobody knows is said to be unknown', async () => {
  const answer = await send(kitchen.app, 'GET', '/runs/01890000-0000-7000-8000-000000000000/comparison')
  expect([answer.status, answer.json]).toMatchObject([404, { code: 'unknown-run' }])
})

const compare = async (path: string) => Comparison.parse((await send(kitchen.app, 'GET', `${path}/comparison`)).json)
const complained = (of: ComplaintSubject): ComplaintWord => ({
  kind: 'complained',
  id: EventId.parse(newId()),
  of,
  what: 'mushy',
  atMs: kitchen.clock.now() - 60_000,
})
const say = (word: ComplaintWord) => send(kitchen.app, 'POST', '/complaints', word)

test('a ticket stands with all that was fried for it, an evening with all of its batches beside those of other days', async () => {
  const { pool } = kitchen
  const [[shared]] = (await pool.query(
    `SELECT ticket_id AS ticketId, COUNT(DISTINCT run_id) AS n FROM run_part GROUP BY ticket_id ORDER BY n DESC LIMIT 1`,
  )) as unknown as [[{ ticketId: string; n: number }]]
  expect(Number(shared.n)).toBeGreaterThan(1)
  const ofTicket = await compare(`/tickets/${shared.ticketId}`)
  expect(ofTicket.runs).toHaveLength(Number(shared.n))
  const [run] = await duckRuns()
  const day = localDay(run!.firedAtMs, 'Europe/London')
  const ofEvening = await compare(`/record/evenings/${day}`)
  const ofDay = (await send(kitchen.app, 'GET', `/record/evenings/${day}`)).json as { runs: { id: string }[] }
  expect(ofEvening.runs.map(({ runId }) => runId)).toEqual(ofDay.runs.map(({ id }) => id))
  const elsewhere = (await duckRuns()).filter((one) => localDay(one.firedAtMs, 'Europe/London') !== day)
  expect(ofEvening.good['duck']!.length).toBeLessThanOrEqual(elsewhere.length)
  expect(Object.keys(ofEvening.good).sort()).toEqual([...new Set(ofEvening.runs.map(({ dishId }) => dishId))].sort())
  expect(await compare('/record/evenings/2024-02-29')).toEqual({ runs: [], good: {}, isCut: false })
})

test('what was complained of did not go well: of a run, of its ticket, of its evening; taken back it did, and stays in the list', async () => {
  const goodWithout = async (id: string) => (await compare(`/runs/${id}`)).good['duck']!.length
  const well = await duckGoneWell()
  const [asked, other] = well
  const before = await goodWithout(asked!.id)
  const { parts } = (await send(kitchen.app, 'GET', `/runs/${other!.id}`)).json as { parts: { ticketId: never }[] }
  const day = localDay(other!.firedAtMs, 'Europe/London')
  for (const [of, least] of [
    [{ kind: 'run', runId: other!.id }, 1],
    [{ kind: 'ticket', ticketId: parts[0]!.ticketId }, 1],
    [{ kind: 'evening', day, dishId: 'duck' }, 1],
    [{ kind: 'evening', day, dishId: null }, 1],
    [{ kind: 'evening', day, dishId: 'kimchi' }, 0],
  ] as const) {
    const word = complained(of)
    expect(await say(word)).toMatchObject({ status: 200 })
    if (least === 1) expect(await goodWithout(asked!.id)).toBeLessThan(before)
    else expect(await goodWithout(asked!.id)).toBe(before)
    const taken = {
      kind: 'takenBack' as const,
      id: EventId.parse(newId()),
      complaintId: word.id,
      atMs: word.atMs + 5000,
    }
    expect(await say(taken)).toMatchObject({ status: 200 })
    expect(await goodWithout(asked!.id)).toBe(before)
    const { complaints } = ComplaintList.parse((await say({ ...taken, atMs: word.atMs + 9000 })).json)
    expect(complaints.find(({ id }) => id === word.id)).toMatchObject({
      of,
      what: 'mushy',
      takenBackAtMs: word.atMs + 5000,
    })
  }
})

test('a complaint sent twice is one; its id cannot stand for another; of nothing that is known it is refused', async () => {
  const [run] = await duckRuns()
  const word = complained({ kind: 'run', runId: run!.id })
  await say(word)
  const { complaints } = ComplaintList.parse((await say(word)).json)
  expect(complaints.filter(({ id }) => id === word.id)).toHaveLength(1)
  const other = complained({ kind: 'evening', day: '2026-11-01', dishId: null })
  expect(await say({ ...other, id: word.id })).toMatchObject({ status: 409, json: { code: 'id-taken' } })
  const nobody = '01890000-0000-7000-8000-000000000000' as never
  expect(await say(complained({ kind: 'run', runId: nobody }))).toMatchObject({ json: { code: 'unknown-run' } })
  expect(await say(complained({ kind: 'ticket', ticketId: nobody }))).toMatchObject({ json: { code: 'not-found' } })
  const taken = { kind: 'takenBack' as const, id: EventId.parse(newId()), complaintId: nobody, atMs: word.atMs }
  expect(await say(taken)).toMatchObject({ status: 422, json: { code: 'unknown-complaint' } })
})
