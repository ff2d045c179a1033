import { DishList } from 'contract/dish'
import { Kitchen } from 'contract/kitchen'
import { Me, PersonList } from 'contract/people'
import { openTestKitchen, send, type TestKitchen } from '../../db/test/testKitchen'
import { fireOf } from '../../db/test/testKitchen'
import { RiceHouse } from 'contract/riceHouse'
import { OpenTickets } from 'contract/ticket'

let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openTestKitchen()))
afterAll(() => kitchen.close())

const codeOf = ({ json }: { json: unknown }) => (json as { code?: string }).code
const as = (token: string, method: string, path: string, body?: unknown) =>
  send(kitchen.app, method, path, body, 'application/json', token)
const tokenOf = ({ headers }: { headers: Headers }) =>
  /okazu_session=([^;]+)/.exec(headers.get('set-cookie') ?? '')?.[1] ?? ''
const draft = (name: string) => ({ name, timeZone: 'Europe/Lisbon', locale: 'en-GB', currency: 'EUR', ruleSet: 'uk' })

/** An own kitchen with its first device in it. */
async function begin(name: string) {
  const made = (await send(kitchen.app, 'POST', '/kitchens', draft(name))).json as { id: string; code: string }
  return {
    id: made.id,
    token: tokenOf(await as('', 'POST', '/me/pair', { code: made.code, name: 'Phone', place: '' })),
  }
}

test('an own kitchen stands beside the sample one: each sees its own, and neither the other’s', async () => {
  const { id, token } = await begin('Kettle Lane')
  expect(Me.parse((await as(token, 'GET', '/me')).json).kitchen).toEqual({ id: 'kettle-lane', name: 'Kettle Lane' })
  const own = Kitchen.parse((await as(token, 'GET', '/kitchen')).json)
  expect(own).toMatchObject({ id, ruleSet: 'uk', timeZone: 'Europe/Lisbon', stations: [], staff: [] })
  expect(DishList.parse((await as(token, 'GET', '/dishes')).json).dishes).toEqual([])
  expect(OpenTickets.parse((await as(token, 'GET', '/tickets')).json).tickets).toEqual([])
  expect(Kitchen.parse((await send(kitchen.app, 'GET', '/kitchen')).json).id).toBe(kitchen.kitchenId)
})

test('the first who opens it owns it; a second first owner there is none, whoever comes at the same moment', async () => {
  const { token } = await begin('Two at once')
  const first = (name: string) => as(token, 'POST', '/first-owner', { name, pin: '2580' })
  const answers = await Promise.all([first('Mara'), first('Ilse')])
  expect(answers.map(({ status }) => status).sort()).toEqual([201, 403])
  expect(codeOf(await first('Third'))).toBe('may-not')
  expect(codeOf(await send(kitchen.app, 'POST', '/first-owner', { name: 'X', pin: '2580' }))).toBe('may-not')
  const { staff } = Kitchen.parse((await as(token, 'GET', '/kitchen')).json)
  const owner = tokenOf(await as(token, 'POST', '/me/sign-in', { staffId: staff[0]!.id, pin: '2580' }))
  expect(PersonList.parse((await as(owner, 'GET', '/people')).json).people).toHaveLength(1)
})

test('stations: an id of the name, a figure out of range refused, taken out only while nothing was cooked there', async () => {
  const station = { name: 'Ring Ö 1', kind: 'wok', powerW: 24_000, capPortions: 3 }
  const { json } = await send(kitchen.app, 'POST', '/kitchen/stations', station)
  expect(Kitchen.parse(json).stations.at(-1)).toMatchObject({ id: 'ring-o-1', ...station })
  expect(codeOf(await send(kitchen.app, 'POST', '/kitchen/stations', { ...station, powerW: 24 }))).toBe('invalid')
  expect(codeOf(await send(kitchen.app, 'PUT', '/kitchen/stations/none', station))).toBe('not-found')
  expect((await send(kitchen.app, 'DELETE', '/kitchen/stations/ring-o-1')).status).toBe(200)
  const { tickets } = OpenTickets.parse((await send(kitchen.app, 'GET', '/tickets')).json)
  const plain = tickets.find(
    ({ items }) => items.length === 1 && items[0]!.dishId === 'crab' && items[0]!.allergies.length === 0,
  )!
  const fired = fireOf([plain], 'ring-b', kitchen.clock.now(), { isUnconfirmed: false })
  expect((await send(kitchen.app, 'POST', '/runs', fired)).status).toBe(201)
  const used = await send(kitchen.app, 'DELETE', '/kitchen/stations/ring-b')
  expect([used.status, codeOf(used)]).toEqual([409, 'in-use'])
})

test.each([
  ['a zone that is none', { ...draft('x'), timeZone: 'Middle/Earth' }],
  ['a currency in small letters', { ...draft('x'), currency: 'eur' }],
  ['a language that is none', { ...draft('x'), locale: '!' }],
  ['no name', { ...draft(' ') }],
])('a kitchen with %s is refused, and says what to give', async (_, body) => {
  const answer = await send(kitchen.app, 'POST', '/kitchens', body)
  expect([answer.status, codeOf(answer)]).toEqual([422, 'invalid'])
})

test('the rice house of an empty kitchen takes what it gives; with its first pot, rice is cooked in that', async () => {
  const { token } = await begin('Rice first')
  await as(token, 'POST', '/first-owner', { name: 'Mara', pin: '2580' })
  const owner = tokenOf(await as(token, 'POST', '/me/sign-in', { staffId: 'mara', pin: '2580' }))
  const read = async () => RiceHouse.parse((await as(owner, 'GET', '/rice/house')).json)
  const { version, policy } = await read()
  expect((await as(owner, 'PUT', '/rice/house', { version, policy })).status).toBe(200)
  const pot = { name: 'Cooker', method: 'cooker', volumeL: 10, count: 1, steamGPerMin: 5 }
  await as(owner, 'PUT', '/rice/vessels/cooker', pot)
  expect((await read()).policy.vesselId).toBe('cooker')
  const next = await read()
  expect((await as(owner, 'PUT', '/rice/house', { version: next.version, policy: next.policy })).status).toBe(200)
})

test('a sample dish becomes one of the own book with what is made ahead for it; a second time it is another', async () => {
  const { token } = await begin('Sketch book')
  const { json } = await as(token, 'POST', '/first-owner', { name: 'Mara', pin: '2580' })
  expect(json).toHaveProperty('code')
  const owner = tokenOf(await as(token, 'POST', '/me/sign-in', { staffId: 'mara', pin: '2580' }))
  for (const dishId of ['duck', 'duck', 'kimchi'])
    expect((await as(owner, 'POST', '/sketches', { dishId })).status).toBe(201)
  const { dishes } = DishList.parse((await as(owner, 'GET', '/dishes')).json)
  expect(dishes.map(({ id }) => id).sort()).toEqual(['duck', 'duck-2', 'kimchi'])
  const recipes = (await as(owner, 'GET', '/recipes')).json as { recipes: { id: string }[] }
  const wanted = dishes.flatMap(({ components }) => components.flatMap(({ recipeId }) => recipeId ?? []))
  for (const id of wanted) expect(recipes.recipes.map((one) => one.id)).toContain(id)
  expect(codeOf(await as(owner, 'POST', '/sketches', { dishId: 'none' }))).toBe('unknown-dish')
})

test('who changes what somebody else has changed meanwhile is told so, and writes nothing over', async () => {
  const station = { name: 'Ring D', kind: 'wok', powerW: 20_000, capPortions: 3 }
  await send(kitchen.app, 'POST', '/kitchen/stations', station)
  const change = (name: string) =>
    send(kitchen.app, 'PUT', '/kitchen/stations/ring-d', { ...station, name, was: station })
  const answers = [await change('Left ring'), await change('Right ring')]
  expect(answers.map(codeOf)).toEqual([undefined, 'edited-meanwhile'])
  expect(Kitchen.parse((await send(kitchen.app, 'GET', '/kitchen')).json).stations.at(-1)!.name).toBe('Left ring')
  await send(kitchen.app, 'DELETE', '/kitchen/stations/ring-d')

  const { places } = RiceHouse.parse((await send(kitchen.app, 'GET', '/rice/house')).json)
  const { id, ...place } = places[0]!
  const trays = (count: number, was: object) =>
    send(kitchen.app, 'PUT', `/rice/places/${id}`, { ...place, trays: count, was })
  expect(codeOf(await trays(7, { ...place, trays: place.trays + 1 }))).toBe('edited-meanwhile')
  expect((await trays(7, place)).status).toBe(200)
  expect((await trays(place.trays, { ...place, trays: 7 })).status).toBe(200)
})
