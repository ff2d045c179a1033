import { MisePlanList } from 'contract/mise/plan'
import { MiseStock } from 'contract/mise/stock'
import { parse } from 'csv-parse/sync'
import ICAL from 'ical.js'
import ical from 'node-ical'
import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { prepDemoMise } from '../../demo/mise'
import { openTestKitchen, type TestKitchen } from '../../db/test/testKitchen'

let kitchen: TestKitchen
let folder: string
let planId: string
beforeAll(async () => {
  kitchen = await openTestKitchen()
  await prepDemoMise(kitchen.pool, kitchen.kitchenId, kitchen.clock.now())
  folder = mkdtempSync(join(tmpdir(), 'okazu-mise-'))
  const { plans } = MisePlanList.parse(JSON.parse((await bytes('/mise/plans')).toString()))
  planId = plans.filter((plan) => plan.drawn !== null)[1]!.id
})
afterAll(async () => {
  rmSync(folder, { recursive: true })
  await kitchen.close()
})

const bytes = async (path: string) => {
  const answer = await kitchen.app.request(`http://localhost/api${path}`)
  expect(answer.status).toBe(200)
  return Buffer.from(await answer.arrayBuffer())
}
/** The reader gives a text with parameters as an object. */
const textIn = (value: unknown) => (typeof value === 'string' ? value : (value as { val: string }).val)
const textOf = (pdf: Buffer) => {
  const path = join(folder, 'file.pdf')
  writeFileSync(path, pdf)
  return execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' })
}

test('the plan as a calendar: two parsers that nobody here wrote read the same tasks at the same times', async () => {
  const text = (await bytes(`/mise/plans/${planId}/plan.ics`)).toString()
  const first = new ICAL.Component(ICAL.parse(text) as never).getAllSubcomponents('vevent').map((one) => {
    const event = new ICAL.Event(one)
    return [event.uid, event.summary, event.startDate.toJSDate().getTime(), event.endDate.toJSDate().getTime()] as const
  })
  const second = Object.values(ical.sync.parseICS(text)).flatMap((one) =>
    one?.type === 'VEVENT' ? [[one.uid, textIn(one.summary), one.start.getTime(), one.end!.getTime()] as const] : [],
  )
  expect(first.length).toBeGreaterThan(30)
  const byId = (a: readonly [string, ...unknown[]], b: readonly [string, ...unknown[]]) => (a[0] < b[0] ? -1 : 1)
  expect([...second].sort(byId)).toEqual([...first].sort(byId))
  expect(first.every(([, , from, to]) => from < to)).toBe(true)
  expect(first.some(([, summary]) => summary.includes('Set the rails'))).toBe(true)
})

test('the plan on paper names people, tasks, latest starts, cautions and what to buy', async () => {
  const text = textOf(await bytes(`/mise/plans/${planId}/plan.pdf`))
  for (const words of ['Ifeoma', 'No hands', 'Set the rails', 'latest', 'To buy', 'own board and knife', 'local code'])
    expect(text).toContain(words)
})

test('shopping list and stock-take are CSV with CRLF, a line an item, names that no spreadsheet takes for a formula', async () => {
  const buy = (await bytes(`/mise/plans/${planId}/buy.csv`)).toString()
  const rows: Record<string, string>[] = parse(buy, { columns: true })
  expect(buy).toContain('\r\n')
  for (const row of rows) {
    expect(Number(row['buyG'])).toBeGreaterThanOrEqual(Number(row['neededG']) - 0.1)
    if (row['packs'] !== '') expect(Number(row['packs']) * Number(row['packG'])).toBeCloseTo(Number(row['buyG']), 1)
  }
  expect(rows.length).toBeGreaterThan(3)
  const count: Record<string, string>[] = parse((await bytes('/mise/count.csv')).toString(), { columns: true })
  const places = count.map((row) => row['place'])
  expect(places.filter((place, i) => place !== places[i - 1])).toEqual([...new Set(places)])
  const soy = count.find((row) => row['item'] === 'ingredient:soy-sauce-light')!
  expect(Number(soy['foundG'])).toBeGreaterThan(0)
})

test('a made lot has a label with its name, what it is, and use by', async () => {
  const { rows } = MiseStock.parse(JSON.parse((await bytes('/mise/stock')).toString()))
  const row = rows.find((one) => one.lots.length > 0)!
  const [lot] = row.lots
  const text = textOf(await bytes(`/mise/lots/${lot!.id}/label.pdf`))
  expect(text).toContain(lot!.name)
  expect(text).toContain('made ')
  const png = await bytes(`/mise/lots/${lot!.id}/label.png`)
  expect(png.subarray(1, 4).toString()).toBe('PNG')
  const gone = await kitchen.app.request('http://localhost/api/mise/lots/none/label.pdf')
  expect(gone.status).toBe(404)
})

test('a plan that was not drawn has no files, and says so', async () => {
  const answer = await kitchen.app.request('http://localhost/api/mise/plans/2030-01-01-noon/plan.ics')
  expect(answer.status).toBe(404)
  expect(await answer.text()).toContain('draw it first')
})
