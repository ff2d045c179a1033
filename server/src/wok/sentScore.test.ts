import { DishList } from 'contract/dish'
import { Kitchen } from 'contract/kitchen'
import type { ProblemDetails } from 'contract/problem'
import { Run, Score, type FireRun } from 'contract/run'
import { TicketList, type Ticket } from 'contract/ticket'
import { heatOf } from 'core/line/batchHeat'
import { batchScore } from 'core/line/batchScore'
import { fireOf, newTicket, openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'

let kitchen: TestKitchen
beforeEach(async () => void (kitchen = await openTestKitchen()))
afterEach(() => kitchen.close())

const now = () => kitchen.clock.now()
async function place(dishId: string, portions: number): Promise<Ticket> {
  const { json } = await send(kitchen.app, 'POST', '/tickets', newTicket(dishId, portions, now() + 600_000))
  return TicketList.parse(json).tickets[0]!
}
const fire = (body: FireRun) => send(kitchen.app, 'POST', '/runs', body)
const code = (answer: { json: unknown }) => (answer.json as ProblemDetails).code

describe('the score that a device sends', () => {
  const derived = async (ticket: Ticket) => {
    const [dishes, house] = await Promise.all([
      send(kitchen.app, 'GET', '/dishes').then(({ json }) => DishList.parse(json).dishes),
      send(kitchen.app, 'GET', '/kitchen').then(({ json }) => Kitchen.parse(json)),
    ])
    const { dishId, portions } = ticket.items[0]!
    const dish = dishes.find(({ id }) => id === dishId)!
    const station = house.stations.find(({ id }) => id === 'ring-a')!
    const batch = { modifiers: [], allergies: [], parts: [{ portions, modifiers: [] }] }
    const result = batchScore(dish, batch, { ...heatOf(station), riceTempC: 9 }, house.tools, house)
    if (result.kind !== 'score') throw new Error(result.kind)
    return Score.parse(result.score)
  }

  test('is kept as it was sent, with what it was derived from', async () => {
    const ticket = await place('duck', 2)
    const score = await derived(ticket)
    const run = Run.parse((await fire(fireOf([ticket], 'ring-a', now(), { score }))).json)
    expect(run.score).toEqual(score)
    expect(run.score.basis).toMatchObject({ stationVersion: 2, riceTempC: 9 })
  })

  test.each<[string, (score: Score) => Score]>([
    ['without a check', (score) => ({ ...score, steps: score.steps.map((step) => ({ ...step, check: null })) })],
    ['with a gap in its seconds', (score) => ({ ...score, totalS: score.totalS + 60 })],
    ['of an engine before', (score) => ({ ...score, engine: 'rules-2' })],
  ])('%s does not hold: the kitchen derives its own', async (_what, change) => {
    const ticket = await place('duck', 2)
    const sent = change(await derived(ticket))
    const run = Run.parse((await fire(fireOf([ticket], 'ring-a', now(), { score: sent }))).json)
    expect(run.score.basis).toMatchObject({ riceTempC: 4 })
    expect(run.score.steps.flatMap(({ check }) => check?.food ?? [])).toEqual(['egg', 'rice'])
  })

  test('what no heat cooks safely is refused by name, and nothing is fired', async () => {
    const { dishes } = DishList.parse((await send(kitchen.app, 'GET', '/dishes')).json)
    const { version, ...chicken } = dishes.find(({ id }) => id === 'chicken')!
    const thick = chicken.components.map((one) =>
      one.food === 'poultry' ? { ...one, cut: { shape: 'dice' as const, sizeMm: 60 } } : one,
    )
    await send(kitchen.app, 'PUT', '/dishes/chicken', { version, dish: { ...chicken, components: thick } })
    const answer = await fire(fireOf([await place('chicken', 1)], 'ring-a', now(), { dishVersion: version + 1 }))
    expect([answer.status, code(answer)]).toEqual([422, 'not-cookable'])
    expect((answer.json as ProblemDetails).detail).toMatch(/chicken thigh.*book/)
  })

  test('what is in the wok without a network is kept with the score that it was cooked by, and marked', async () => {
    const { dishes } = DishList.parse((await send(kitchen.app, 'GET', '/dishes')).json)
    const { version, ...chicken } = dishes.find(({ id }) => id === 'chicken')!
    const ticket = await place('chicken', 1)
    const score = await derived(ticket)
    const thick = chicken.components.map((one) =>
      one.food === 'poultry' ? { ...one, cut: { shape: 'dice' as const, sizeMm: 60 } } : one,
    )
    await send(kitchen.app, 'PUT', '/dishes/chicken', { version, dish: { ...chicken, components: thick } })
    const unsafe = { ...score, steps: score.steps.map((step) => ({ ...step, check: null })) }
    const offline = { dishVersion: version + 1, isUnconfirmed: true, score: unsafe }
    const run = Run.parse((await fire(fireOf([ticket], 'ring-a', now(), offline))).json)
    expect(run).toMatchObject({ score: unsafe, marks: ['scoreUnsound'] })
    const other = fireOf([await place('chicken', 1)], 'ring-a', now(), {
      dishVersion: version + 1,
      isUnconfirmed: true,
    })
    expect(code(await fire(other))).toBe('not-cookable')
  })
})
