import { RunComparison } from 'contract/faults'
import { RunPage } from 'contract/run'
import { rankCauses } from 'core/record/faults/rank'
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

test('a run of the sample kitchen stands beside those of its dish that went well, not beside itself', async () => {
  const runs = await duckRuns()
  const well = runs.filter((run) => run.troubles === 0 && (run.afterPromiseS ?? 0) <= 120 && run.state === 'finished')
  const answer = await send(kitchen.app, 'GET', `/runs/${well[0]!.id}/comparison`)
  const { run, good } = RunComparison.parse(answer.json)
  expect(good).toHaveLength(Math.min(30, well.length - 1))
  expect(run.riceG).toBe(well[0]!.riceMassG)
  expect(run.sauceG).toBeGreaterThan(0)
  expect(run.riceTimes).toBeGreaterThan(0.5)
  expect(rankCauses('gluey', run, good).goodRuns).toBe(good.length)
})

test('a run that nobody knows is said to be unknown', async () => {
  const answer = await send(kitchen.app, 'GET', '/runs/01890000-0000-7000-8000-000000000000/comparison')
  expect([answer.status, answer.json]).toMatchObject([404, { code: 'unknown-run' }])
})
