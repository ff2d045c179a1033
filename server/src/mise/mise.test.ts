import { CardList } from 'contract/mise/cards'
import { MiseEvents, type MiseEvent } from 'contract/mise/event'
import { MiseHouse } from 'contract/mise/house'
import { MisePlan, MisePlanList } from 'contract/mise/plan'
import { MiseStock } from 'contract/mise/stock'
import { TicketList } from 'contract/ticket'
import { foldDay } from 'core/mise/doing/foldDay'
import { stockG } from 'core/mise/stock/foldStock'
import { v7 as newId } from 'uuid'
import { fireOf, newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const get = async (path: string) => (await send(kitchen.app, 'GET', path)).json as unknown
const plans = async () => MisePlanList.parse(await get('/mise/plans')).plans
const stock = async (itemId: string) =>
  MiseStock.parse(await get('/mise/stock')).rows.find((row) => row.itemId === itemId)!
const house = async () => MiseHouse.parse(await get('/mise/house'))
const codeOf = (answer: { json: unknown }) => (answer.json as { code: string }).code
const faultOf = (answer: { json: unknown }) => (answer.json as { detail: string }).detail
const evening = async () => (await plans()).filter((plan) => plan.serviceId === 'evening')[1]!
const draw = async (id: string, version: number) => send(kitchen.app, 'POST', `/mise/plans/${id}`, { version })
type Word = MiseEvent extends infer T
  ? T extends MiseEvent
    ? Omit<T, 'id' | 'day' | 'deviceId' | 'atMs' | 'counter'>
    : never
  : never
const said = (word: Word, day = 'stock', deviceId = 'phone', agoMs = 0) => ({
  id: newId(),
  day,
  deviceId,
  atMs: Math.round(kitchen.clock.now() - agoMs),
  counter: 0,
  ...word,
})
const say = (...events: ReturnType<typeof said>[]) => send(kitchen.app, 'POST', '/mise/events', { events })
const counted = (itemId: string, massG: number, deviceId = 'phone', agoMs = 0) =>
  said({ kind: 'counted', itemId: itemId, placeId: null, massG, expectedG: null }, 'stock', deviceId, agoMs)

test('services to come stand there undrawn, up to four days ahead', async () => {
  const all = await plans()
  expect(all.every((plan) => plan.version === 0 && plan.drawn === null && plan.toMs > kitchen.clock.now())).toBe(true)
  expect(all.at(-1)!.fromMs - kitchen.clock.now()).toBeGreaterThan(3 * 86_400_000)
  expect(new Set(all.map((plan) => plan.serviceId))).toEqual(new Set(['noon', 'evening']))
})

test('a plan is drawn from forecast, book and stock: tasks that end in time, amounts that add up, what to buy', async () => {
  const { id, fromMs } = await evening()
  const plan = MisePlan.parse((await draw(id, 0)).json)
  const { portions, tasks, items, buy, boats } = plan.drawn!
  const duck = portions.find((one) => one.dishId === 'duck')!.portions
  expect(duck).toBeGreaterThan(5)
  const diced = items.find((item) => item.itemId === 'cut:duck-roast:dice-8')!
  expect(diced.grossG).toBeCloseTo(duck * 220 * 0.188, 3)
  expect(tasks.filter((task) => task.gives?.itemId === diced.itemId)).toMatchObject([
    { massG: diced.netG, dueMs: fromMs },
  ])
  expect(buy.find((line) => line.ingredientId === 'duck-roast')!.neededG).toBeCloseTo(diced.netG / 0.65, 3)
  const input = boats.reduce((sum, boat) => sum + boat.portions, 0)
  expect(input).toBeCloseTo(
    portions.reduce((sum, one) => sum + one.portions, 0),
    6,
  )
  expect(tasks.some((task) => task.id === `${id}/rails`)).toBe(true)
  expect(tasks.some((task) => task.id.startsWith(`${id}/rice:1/`) && task.equipment.includes('vessel:steamer'))).toBe(
    true,
  )
})

test('two who draw at once: the second is told, and drawing needs a service that is to come', async () => {
  const { id, version } = await evening()
  const answers = await Promise.all([draw(id, version), draw(id, version)])
  expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409])
  const past = await draw('2020-01-01-evening', 0)
  expect([past.status, codeOf(past)]).toEqual([409, 'service-past'])
  expect(faultOf(past)).toContain('the next one is')
  const begun = (await evening()).fromMs + 60_000
  const before = kitchen.clock.now()
  kitchen.clock.moveToMs(begun)
  expect((await plans()).filter((plan) => plan.drawn === null && plan.fromMs <= begun)).toEqual([])
  kitchen.clock.moveToMs(before)
})

test('what was done is a lot, sent twice it is one; drawn anew, the plan asks for that much less', async () => {
  const before = await evening()
  const task = before.drawn!.tasks.find((one) => one.gives?.itemId === 'recipe:duck-sauce')!
  const gave = { itemId: 'recipe:duck-sauce' as never, massG: task.massG, useByMs: before.toMs + 1000, placeId: null }
  const done = said({ kind: 'ended', taskId: task.id, massG: task.massG, gave, took: [] }, before.id)
  expect((await say(done)).json).toEqual({ taken: 1 })
  expect((await say(done)).json).toEqual({ taken: 0 })
  expect(stockG(await stock('recipe:duck-sauce'))).toBeCloseTo(task.massG, 3)
  expect(foldDay(before.drawn!, (await evening()).events).tasks.find((one) => one.id === task.id)).toMatchObject({
    status: 'done',
    doneG: task.massG,
  })
  const again = MisePlan.parse((await draw(before.id, before.version)).json)
  expect(again.drawn!.items.find((item) => item.itemId === 'recipe:duck-sauce')).toMatchObject({ netG: 0 })
  const waste = said({
    kind: 'wasted',
    itemId: 'recipe:duck-sauce',
    lotId: null,
    massG: 100,
    reason: 'dropped',
  })
  await say(waste)
  const more = MisePlan.parse((await draw(before.id, again.version)).json)
  const next = more.drawn!.tasks.find((one) => one.gives?.itemId === 'recipe:duck-sauce')!
  expect(next.massG).toBeCloseTo(100, 3)
  expect(next.id).not.toBe(task.id)
})

test('counts by two, one of them offline: both are kept, the later one counts, whoever comes first', async () => {
  const item = 'ingredient:garlic'
  await say(counted(item, 900, 'tablet', 60_000))
  await say(counted(item, 1200, 'phone', 120_000))
  const row = await stock(item)
  expect([stockG(row), row.lastCount?.massG, row.otherCount?.massG]).toEqual([900, 900, 1200])
})

test('what the wok drew since a count is taken off, what it drew before is not', async () => {
  const item = 'ingredient:soy-sauce-light'
  await say(counted(item, 2000, 'phone', 60_000))
  const fire = async (agoMs: number, modifiers: string[] = []) => {
    const placed = await send(
      kitchen.app,
      'POST',
      '/tickets',
      newTicket('chicken', 2, kitchen.clock.now(), { modifiers }),
    )
    const { tickets } = TicketList.parse(placed.json)
    const body = fireOf(tickets, 'ring-a', kitchen.clock.now() - agoMs, { isUnconfirmed: true })
    expect((await send(kitchen.app, 'POST', '/runs', body)).status).toBe(201)
  }
  await fire(120_000)
  await fire(1000)
  expect(stockG(await stock(item))).toBeCloseTo(2000 - 2 * 2.2 * 4, 3)
  const egg = 'ingredient:egg-whole'
  await say(counted(egg, 2000, 'phone', 900))
  await fire(500, ['no-egg'])
  expect(stockG(await stock(egg))).toBeCloseTo(2000, 3)
})

describe('refused with what to do', () => {
  test.each([
    ['a negative count', { massG: -1 }, /massG.*not below 0: count again/],
    ['a mass beyond a tonne', { massG: 2e6 }, /tonne: give grams/],
    ['an item that is none', { itemId: 'garlic' }, /an item such as recipe:duck-sauce/],
  ])('%s', async (_, change, words) => {
    const event = { ...counted('ingredient:garlic', 1), ...change }
    const answer = await send(kitchen.app, 'POST', '/mise/events', { events: [event] })
    expect(answer.status).toBe(422)
    expect(faultOf(answer)).toMatch(words)
    expect(MiseEvents.safeParse({ events: [event] }).success).toBe(false)
  })

  test('a time that has not come', async () => {
    const answer = await say({ ...counted('ingredient:garlic', 5), atMs: Math.round(kitchen.clock.now() + 600_000) })
    expect([answer.status, codeOf(answer)]).toEqual([422, 'clock-ahead'])
  })

  test('a house with names that stand for nothing, or a shift that ends before it begins', async () => {
    const { version, policy } = await house()
    const put = (change: object) =>
      send(kitchen.app, 'PUT', '/mise/house', { version, policy: { ...policy, ...change } })
    const par = await put({ pars: [{ itemId: 'recipe:moon', massG: 5, written: '5 g' }] })
    expect([par.status, codeOf(par)]).toEqual([422, 'unknown-item'])
    const homes = await put({ homes: { 'ingredient:garlic': 'attic' } })
    expect([homes.status, codeOf(homes)]).toEqual([422, 'unknown-place'])
    const shift = await put({
      people: [{ staffId: 'tam', skills: [], shifts: [{ weekdays: [1], fromMin: 600, toMin: 500 }] }],
    })
    expect(faultOf(shift)).toMatch(/ends after it begins/)
    const stale = await send(kitchen.app, 'PUT', '/mise/house', { version: version - 1, policy })
    expect([stale.status, codeOf(stale)]).toEqual([409, 'edited-meanwhile'])
  })
})

test('a changed house is kept for the next plan', async () => {
  const { version, policy } = await house()
  const answer = await send(kitchen.app, 'PUT', '/mise/house', { version, policy: { ...policy, railsMin: 30 } })
  expect(MiseHouse.parse(answer.json)).toMatchObject({ version: version + 1, policy: { railsMin: 30 } })
  const { id, version: drawnVersion } = await evening()
  const plan = MisePlan.parse((await draw(id, drawnVersion)).json)
  expect(plan.drawn!.tasks.find((task) => task.kind === 'rails')!.durationS).toBe(1800)
})

test('a card of the kitchen’s own takes the place of the usual one, for everything that hands prepare', async () => {
  const cards = async () => CardList.parse(await get('/mise/cards')).cards
  const usual = (await cards()).find((card) => !card.isOwn && card.itemId.startsWith('recipe:'))!
  expect(usual.steps.length).toBeGreaterThan(0)
  expect((await cards()).some((card) => card.itemId.startsWith('ingredient:'))).toBe(false)
  const { version, policy } = await house()
  const steps = [{ ...usual.steps[0]!, kind: 'pound' as const, handsOnS: 540 }]
  const own = { version, policy: { ...policy, cards: [...policy.cards, { itemId: usual.itemId, steps, keepH: 48 }] } }
  expect((await send(kitchen.app, 'PUT', '/mise/house', own)).status).toBe(200)
  expect((await cards()).find((card) => card.itemId === usual.itemId)).toMatchObject({ steps, keepH: 48, isOwn: true })
  expect(codeOf(await send(kitchen.app, 'PUT', '/mise/house', own))).toBe('edited-meanwhile')
})
