import { copyFileSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { Kitchen } from 'contract/kitchen'
import { heatOf } from 'core/line/batchHeat'
import { batchScore } from 'core/line/batchScore'
import { runState } from 'core/wok/run'
import { schoolsOfToday } from 'core/book/schools'
import { v7 as newId } from 'uuid'
import { listDishes } from '../book/dishes.sql'
import { DEMO_KITCHEN, DEMO_STATIONS } from '../demo/kitchen'
import { findRun } from '../wok/runs.sql'
import { migrate } from './migrate'
import { openPool } from './pool'

type Said = { id: string; schools: Record<string, string> }
/** The book of the sample kitchen and a score by house figures, as the version before kept them. */
const BEFORE = JSON.parse(readFileSync(join(__dirname, 'test', 'book-before-0008.json'), 'utf8')) as {
  dishes: Said[]
  score: { steps: object[]; totalS: number }
}
const socketPath = () => (process.env['OKAZU_TEST_DB'] ?? '').split(' ')[2] ?? ''

test('dishes and runs from before the schools had one vocabulary open, and derive', async () => {
  const at = { socketPath: socketPath(), user: 'root', database: `schools_${newId().replaceAll('-', '')}` }
  const own = join(__dirname, 'migrations')
  const before = mkdtempSync(join(tmpdir(), 'okazu-before-'))
  for (const name of readdirSync(own).filter((one) => one < '0008')) copyFileSync(join(own, name), join(before, name))
  await migrate(at, pathToFileURL(`${before}/`))
  rmSync(before, { recursive: true })
  const pool = openPool(at)
  const [runId, firedAtMs] = [newId(), Date.now()]
  await pool.query(`INSERT INTO kitchen (id, name, time_zone, locale, rule_set, tools, boat_every_min)
                    VALUES ('k', 'K', 'UTC', 'en', 'us', '{}', 20)`)
  for (const dish of BEFORE.dishes)
    await pool.query(
      "INSERT INTO dish_version (kitchen_id, dish_id, version, body, created_at_ms) VALUES ('k', ?, 1, ?, ?)",
      [dish.id, JSON.stringify(dish), firedAtMs],
    )
  await pool.query(
    `INSERT INTO run (kitchen_id, id, dish_id, dish_version, dish_name, station_id, portions, rice_mass_g, planned_s,
                      fired_at_ms, promised_at_ms, hands_free, is_unconfirmed, modifiers, allergies, ticket_numbers, score, engine)
     VALUES ('k', ?, 'duck', 1, 'Duck', 'ring-a', 2, 440, 200, ?, ?, TRUE, FALSE, '[]', '[]', '[]', ?, 'rules-2')`,
    [runId, firedAtMs, firedAtMs, JSON.stringify(BEFORE.score)],
  )
  const [ticketId, itemId] = [newId(), newId()]
  await pool.query(
    `INSERT INTO ticket (kitchen_id, id, number, source, kind, place, placed_at_ms, promised_at_ms)
     VALUES ('k', ?, 1, 'hand', 'dine', '', ?, ?)`,
    [ticketId, firedAtMs, firedAtMs],
  )
  await pool.query(
    `INSERT INTO ticket_item (kitchen_id, id, ticket_id, position, dish_id, portions, modifiers, allergies)
     VALUES ('k', ?, ?, 0, 'duck', 2, '[]', '[]')`,
    [itemId, ticketId],
  )
  await pool.query("INSERT INTO run_part (kitchen_id, run_id, item_id, ticket_id, portions) VALUES ('k', ?, ?, ?, 2)", [
    runId,
    itemId,
    ticketId,
  ])

  expect(await migrate(at, pathToFileURL(`${own}/`))).toContain('0008_schools.sql')

  const dishes = await listDishes(pool, 'k')
  expect(dishes.map(({ id }) => id).sort()).toEqual(BEFORE.dishes.map(({ id }) => id).sort())
  for (const { id, schools } of BEFORE.dishes)
    expect(dishes.find((dish) => dish.id === id)?.schools).toEqual(schoolsOfToday(schools))
  expect(dishes.find(({ id }) => id === 'mushroom')?.schools.egg).toBeUndefined()
  expect(dishes.find(({ id }) => id === 'kimchi')?.schools.rice).toBe('leaveCrust')
  expect(dishes.find(({ id }) => id === 'chicken')?.schools.wipe).toBe('betweenStages')
  const tools = Kitchen.shape.tools.parse(DEMO_KITCHEN.tools)
  for (const dish of dishes) {
    const station = DEMO_STATIONS.find(({ kind }) => kind === dish.stationKind)!
    const parts = [{ portions: 1, modifiers: [] }]
    const scored = batchScore(dish, { modifiers: [], allergies: [], parts }, heatOf(station), tools, { ruleSet: 'us' })
    expect([dish.id, scored.kind]).toEqual([dish.id, 'score'])
  }

  const run = await findRun(pool, 'k', runId)
  expect(run?.score).toEqual(BEFORE.score)
  expect(runState(run!, [], firedAtMs + 1000)).toMatchObject({ status: 'cooking', stepIndex: 0 })
  await pool.query(`DROP DATABASE ${at.database}`)
  await pool.end()
})
