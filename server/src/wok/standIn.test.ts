import { DishList } from 'contract/dish'
import { MiseStock } from 'contract/mise/stock'
import type { ProblemDetails } from 'contract/problem'
import { IngredientList } from 'contract/ingredient'
import { Run } from 'contract/run'
import { TicketList } from 'contract/ticket'
import { itemIdOf, itemOf } from 'core/mise/need/item'
import { stockG } from 'core/mise/stock/foldStock'
import { eventOf, fireOf, newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

let kitchen: TestKitchen
beforeEach(async () => void (kitchen = await openTestKitchen()))
afterEach(() => kitchen.close())

async function fired(allergies: string[]): Promise<Run> {
  const nowMs = Math.round(kitchen.clock.now())
  if (allergies.length > 0)
    await send(kitchen.app, 'POST', '/stations/ring-a/events', {
      events: [
        { id: crypto.randomUUID(), stationId: 'ring-a', kind: 'washed', deviceId: 'p', staffId: null, atMs: nowMs },
      ],
    })
  const body = { ...newTicket('plain', 1, nowMs + 600_000), items: [{ dishId: 'plain', portions: 1, allergies }] }
  const { json } = await send(kitchen.app, 'POST', '/tickets', body)
  const fire = fireOf([TicketList.parse(json).tickets[0]!], 'ring-a', nowMs)
  return Run.parse((await send(kitchen.app, 'POST', '/runs', { ...fire, allergies })).json)
}
const instead = async (run: Run, ingredientId: string) => {
  const componentId = run.score.steps
    .flatMap(({ entries }) => entries)
    .find(({ role }) => role === 'finish')!.componentId
  const standIn = { ingredientId, name: `another ${ingredientId}` }
  const stepId = run.score.steps[0]!.id
  const said = eventOf(run, run.firedAtMs + 2000, { kind: 'trouble', trouble: 'ranOut', stepId, componentId, standIn })
  const { status, json } = await send(kitchen.app, 'POST', `/runs/${run.id}/events`, { events: [said] })
  return { status, json, code: (json as ProblemDetails).code, standIn }
}
const rowWith = async (allergen: string) => {
  const { ingredients } = IngredientList.parse((await send(kitchen.app, 'GET', '/ingredients')).json)
  return ingredients.find(({ allergens, isReadyToEat }) => isReadyToEat && (allergens as string[]).includes(allergen))!
    .id
}

test('what stands in is kept with the run, by its row of the table', async () => {
  const { status, json, standIn } = await instead(await fired([]), await rowWith('fish'))
  expect(status).toBe(200)
  expect(Run.parse(json).events).toMatchObject([{ kind: 'trouble', trouble: 'ranOut', standIn }])
})

test('it is refused where it has what the guest must not have, or where the table does not know it', async () => {
  const run = await fired(['fish'])
  const refused = await instead(run, await rowWith('fish'))
  expect([refused.status, refused.code]).toEqual([422, 'stand-in-unsafe'])
  expect((refused.json as ProblemDetails).detail).toMatch(/free of fish: stop/)
  expect((await instead(run, 'no-such-thing')).code).toBe('unknown-ingredient')
  const { json } = await send(kitchen.app, 'GET', `/runs/${run.id}`)
  expect(Run.parse(json).events).toEqual([])
})

test('stock: what ran out was not drawn, what stood in was; taken back, it is the other way round', async () => {
  const run = await fired([])
  const { componentId } = run.score.steps.flatMap(({ entries }) => entries).find(({ role }) => role === 'finish')!
  const { dishes } = DishList.parse((await send(kitchen.app, 'GET', '/dishes')).json)
  const component = dishes.find(({ id }) => id === run.dishId)!.components.find(({ id }) => id === componentId)!
  const rows = async () => MiseStock.parse((await send(kitchen.app, 'GET', '/mise/stock')).json).rows
  const { ingredients } = IngredientList.parse((await send(kitchen.app, 'GET', '/ingredients')).json)
  const gone = itemIdOf(itemOf(component))
  const items = (await rows()).map(({ itemId }) => itemId)
  const isCut = (id: string) => items.some((itemId) => itemId.startsWith(`cut:${id}:`))
  const standInId = ingredients
    .filter(({ isReadyToEat }) => isReadyToEat)
    .map(({ id }) => id)
    .find((id) => `ingredient:${id}` !== gone && items.includes(`ingredient:${id}`) && !isCut(id))!
  const ids = { gone, standIn: `ingredient:${standInId}` }
  const stock = async (itemId: string) => stockG((await rows()).find((row) => row.itemId === itemId)!)
  const both = async () => [await stock(ids.gone), await stock(ids.standIn)] as const
  const counted = (itemId: string) => ({
    ...{ id: crypto.randomUUID(), day: 'stock', deviceId: 'p', atMs: run.firedAtMs - 1, counter: 0, kind: 'counted' },
    ...{ itemId, placeId: null, massG: 1000, expectedG: null },
  })
  await send(kitchen.app, 'POST', '/mise/events', { events: [counted(ids.gone), counted(ids.standIn)] })
  const [fromGone, untouched] = await both()
  expect(fromGone).toBeLessThan(1000)
  expect(untouched).toBe(1000)
  const { json } = await instead(run, standInId)
  expect(await both()).toEqual([1000, expect.closeTo(fromGone, 6)])
  const eventId = Run.parse(json).events[0]!.id
  const back = eventOf(run, run.firedAtMs + 3000, { kind: 'undone', eventId })
  await send(kitchen.app, 'POST', `/runs/${run.id}/events`, { events: [back] })
  expect(await both()).toEqual([fromGone, 1000])
})

test('raw for what was ready is refused: no step of the score would check it', async () => {
  const { ingredients } = IngredientList.parse((await send(kitchen.app, 'GET', '/ingredients')).json)
  const raw = ingredients.find(({ role, state }) => role === 'protein:poultry' && state === 'raw')!
  const refused = await instead(await fired([]), raw.id)
  expect([refused.status, refused.code]).toEqual([422, 'stand-in-raw'])
})
