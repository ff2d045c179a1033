import { Kitchen } from 'contract/kitchen'
import { Lot } from 'contract/rice'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const read = async () => Kitchen.parse((await send(kitchen.app, 'GET', '/kitchen')).json)
const put = (path: string, body: unknown) => send(kitchen.app, 'PUT', `/kitchen/${path}`, body)
const coolingLots = async () =>
  ((await send(kitchen.app, 'GET', '/rice/lots')).json as { lots: unknown[] }).lots
    .map((lot) => Lot.parse(lot))
    .filter((lot) => lot.events.some((event) => event.kind === 'spread'))

test('the kitchen comes with its stations, its people and what it measures with', async () => {
  const { stations, staff, tools, timeZone } = await read()
  expect(stations.length).toBeGreaterThan(1)
  expect(staff.some((one) => one.role === 'owner')).toBe(true)
  expect(tools.scaleResolutionG).toBeGreaterThan(0)
  expect(() => new Intl.DateTimeFormat('en', { timeZone })).not.toThrow()
})

test('what thermometers show is changed and read back', async () => {
  const before = await read()
  const changed = await put('readings', { readsIn: 'F', weighsIn: 'oz', isScottish: true })
  expect(changed.status).toBe(200)
  expect(await read()).toMatchObject({ readsIn: 'F', weighsIn: 'oz', isScottish: true, name: before.name })
  await put('readings', {
    readsIn: before.readsIn,
    weighsIn: before.weighsIn,
    isScottish: before.isScottish,
  })
})

test('another rule set holds from now on, and rice that is cooling keeps the old one as well', async () => {
  const before = await read()
  const other = before.ruleSet === 'us' ? 'uk' : 'us'
  const lots = await coolingLots()
  expect(lots.length).toBeGreaterThan(0)
  expect((await put('rule-set', { ruleSet: other })).status).toBe(200)
  expect((await read()).ruleSet).toBe(other)
  const after = await coolingLots()
  const told = after.filter((lot) => lot.events.some((event) => event.kind === 'ruleSet'))
  expect(told.length).toBeGreaterThan(0)
  for (const lot of told) {
    const event = lot.events.find((one) => one.kind === 'ruleSet')
    expect(event).toMatchObject({ from: before.ruleSet, to: other })
  }
  await put('rule-set', { ruleSet: before.ruleSet })
})

test('the same rule set again says nothing to any lot', async () => {
  const { ruleSet } = await read()
  const count = (lots: Lot[]) => lots.reduce((sum, lot) => sum + lot.events.length, 0)
  const before = count(await coolingLots())
  expect((await put('rule-set', { ruleSet })).status).toBe(200)
  expect(count(await coolingLots())).toBe(before)
})

test.each([
  ['rule-set', { ruleSet: 'mars' }],
  ['rule-set', {}],
  ['rule-set', { ruleSet: 'us', more: 1 }],
  ['readings', { readsIn: 'K', weighsIn: 'g', isScottish: false }],
  ['readings', { readsIn: 'C', weighsIn: 'kg', isScottish: false }],
  ['readings', { readsIn: 'C' }],
  ['readings', null],
])('%s with %j is refused with its field, and nothing changes', async (path, body) => {
  const before = await read()
  const answer = await put(path, body)
  expect(answer.status).toBe(422)
  expect(answer.json).toMatchObject({ code: 'invalid' })
  expect(await read()).toEqual(before)
})
