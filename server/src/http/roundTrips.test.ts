import { DishDraft } from 'contract/dish'
import { Ingredient } from 'contract/ingredient'
import type { LineState } from 'contract/line'
import { RecipeDraft } from 'contract/recipe'
import { dayAfter, localDay } from 'core/time/localTime'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

/** Whatever can be edited: what is read can be saved as it was read, and is then read the same. */
let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

type Versioned = Record<string, unknown> & { id: string; version: number }
const read = async <T>(path: string): Promise<T> => {
  const answer = await send(kitchen.app, 'GET', path)
  expect(answer.status).toBe(200)
  return answer.json
}
const put = async (path: string, body: unknown) => {
  const { status, text } = await send(kitchen.app, 'PUT', path, body)
  expect([path, status, status === 200 ? '' : text]).toEqual([path, 200, ''])
}
/** What may be edited of a thing: its draft, without what the server adds. */
const draftOf = (shape: Record<string, unknown>, whole: Versioned) =>
  Object.fromEntries(Object.entries(whole).filter(([key]) => key in shape))
const withoutVersion = ({ version: _, ...rest }: Record<string, unknown>) => rest

test.each([
  { what: 'dishes', one: 'dish', path: '/dishes', shape: DishDraft.shape, every: 1 },
  { what: 'recipes', one: 'recipe', path: '/recipes', shape: RecipeDraft.shape, every: 1 },
  { what: 'ingredients', one: 'ingredient', path: '/ingredients', shape: Ingredient.shape, every: 25 },
])('$what', async ({ what, one, path, shape, every }) => {
  const all = async () => (await read<Record<string, Versioned[]>>(path))[what]!
  const before = await all()
  expect(before.length).toBeGreaterThan(5)
  for (const thing of before.filter((_, i) => i % every === 0))
    await put(`${path}/${thing.id}`, { version: thing.version, [one]: draftOf(shape, thing) })
  const drafts = (list: readonly Versioned[]) => list.map((thing) => draftOf(shape, { ...thing, version: 0 }))
  expect(drafts(await all())).toEqual(drafts(before))
})

const tomorrow = () => dayAfter(localDay(kitchen.clock.now(), 'Europe/London'))
test.each([
  { what: 'styles', path: () => '/styles', body: (now: Versioned) => now },
  {
    what: 'policy of the rice',
    path: () => '/rice/house',
    body: ({ version, policy }: Versioned) => ({ version, policy }),
  },
  {
    what: 'policy of the mise',
    path: () => '/mise/house',
    body: ({ version, policy }: Versioned) => ({ version, policy }),
  },
  {
    what: 'plan of a day',
    path: () => `/rice/plan/${tomorrow()}`,
    body: ({ version, edits }: Versioned) => ({ version, edits }),
  },
  {
    what: 'plate of a station',
    path: () => '/stations/ring-a/plate',
    body: ({ version, plate }: Versioned) => ({ version, plate, staffId: null }),
  },
  { what: 'the whole book', path: () => '/book/kitchen.json', body: (now: Versioned) => now },
  { what: 'feed', path: () => '/feed', body: (now: Versioned) => now },
  { what: 'probe', path: () => '/probe', body: ({ lotId, fault }: Versioned) => ({ lotId, fault }) },
])('$what', async ({ path, body }) => {
  const before = await read<Versioned>(path())
  await put(path(), body(before))
  const after = await read<Versioned>(path())
  expect(withoutVersion(after)).toEqual(withoutVersion(before))
})

test('order of the line', async () => {
  const before = await read<LineState>('/line')
  const order = { basedOn: before.order?.no ?? 0, key: '0123456789abcdef', batches: [], why: [], deviceId: 'phone' }
  await put('/line/order', order)
  const told = (await read<LineState>('/line')).order!
  await put('/line/order', { ...order, basedOn: told.no, batches: told.batches, why: told.why })
  expect((await read<LineState>('/line')).order).toMatchObject({ batches: told.batches, no: told.no + 1 })
})

test('rule set, readings, the timetable of waves and instruments', async () => {
  const before = await read<Versioned & { instruments: string[] }>('/kitchen')
  const { ruleSet, readsIn, weighsIn, isScottish, waves, instruments } = before
  await put('/kitchen/rule-set', { ruleSet })
  await put('/kitchen/readings', { readsIn, weighsIn, isScottish })
  await put('/kitchen/waves', waves)
  for (const one of instruments) await put(`/kitchen/instruments/${one}`, { has: true })
  expect(await read('/kitchen')).toEqual(before)
})

test('the house: name, tools, stations, pots and places are taken as they were read', async () => {
  const before = await read<{
    name: string
    timeZone: string
    locale: string
    currency: string
    tools: object
    stations: { id: string; name: string; kind: string; powerW: number | null; capPortions: number }[]
  }>('/kitchen')
  const { name, timeZone, locale, currency, tools, stations } = before
  await put('/kitchen/head', { name, timeZone, locale, currency })
  await put('/kitchen/tools', tools)
  for (const one of stations)
    await put(`/kitchen/stations/${one.id}`, {
      name: one.name,
      kind: one.kind,
      powerW: one.powerW,
      capPortions: one.capPortions,
    })
  expect(await read('/kitchen')).toEqual(before)
  const house = await read<{ vessels: Record<string, unknown>[]; places: Record<string, unknown>[] }>('/rice/house')
  for (const { id, loadsWeighed: _loads, ...vessel } of house.vessels) await put(`/rice/vessels/${String(id)}`, vessel)
  for (const { id, ...place } of house.places) await put(`/rice/places/${String(id)}`, place)
  expect(await read('/rice/house')).toEqual(house)
})

test('people and devices: what was read is taken back', async () => {
  const { people } = await read<{ people: { id: string; name: string; role: string }[] }>('/people')
  for (const { id, name, role } of people) await put(`/people/${id}`, { name, role })
  expect(await read('/people')).toEqual({ people })
  const { devices } = await read<{ devices: { id: string; name: string; place: string }[] }>('/paired-devices')
  for (const { id, name, place } of devices) await put(`/paired-devices/${id}`, { name, place })
  expect(await read('/paired-devices')).toEqual({ devices })
  await put('/people/bram/pin', { pin: '1379' })
  await put('/people/odalys/pin', { pin: '4826' })
  await put('/me/pin', { oldPin: '4826', pin: '4826' })
  expect(await read('/people')).toEqual({ people })
})

test('every address that takes a change in place is tried here', async () => {
  const document = await read<{ paths: Record<string, Record<string, unknown>> }>('/openapi.json')
  const editable = Object.entries(document.paths).flatMap(([path, methods]) => ('put' in methods ? [path] : []))
  expect(editable.sort()).toEqual(
    [
      '/api/book/kitchen.json',
      '/api/dishes/{id}',
      '/api/feed',
      '/api/ingredients/{id}',
      '/api/kitchen/head',
      '/api/kitchen/instruments/{instrument}',
      '/api/kitchen/readings',
      '/api/kitchen/rule-set',
      '/api/kitchen/stations/{id}',
      '/api/kitchen/tools',
      '/api/kitchen/waves',
      '/api/line/order',
      '/api/me/pin',
      '/api/mise/house',
      '/api/paired-devices/{id}',
      '/api/people/{id}',
      '/api/people/{id}/pin',
      '/api/probe',
      '/api/recipes/{id}',
      '/api/rice/house',
      '/api/rice/places/{id}',
      '/api/rice/plan/{day}',
      '/api/rice/vessels/{id}',
      '/api/stations/{id}/plate',
      '/api/styles',
    ].sort(),
  )
})
