import { HOB } from '../../test/stations'
import { aBatch, CARROT, DUCK } from '../../test/wokDishes'
import { lapsOf } from './laps'
import { sequenceBatch, type Sequenced } from './sequenceBatch'

const LARGE_G = 1200
const order = (schools: Parameters<typeof aBatch>[1], batchMassG = LARGE_G) =>
  sequenceBatch(aBatch([CARROT, DUCK], { egg: 'firstOut', ...schools }, { batchMassG }))
const massOf = ({ steps }: Sequenced, id: string) =>
  steps
    .flatMap(({ entries }) => entries)
    .filter(({ componentId, motion }) => componentId === id && motion === 'in')
    .map(({ massG }) => massG)
const actionsOf = ({ steps }: Sequenced) => steps.map(({ action }) => action)
const large = order({ batches: 'tossedInBowl' })
const laps = lapsOf(LARGE_G, { station: HOB, riceTempC: 5, handling: 'stir' })

test('1.2 kg is too much for a hob of 3.5 kW in one, and fries dry in parts', () => {
  expect(order({}).finding?.bad.map(({ code }) => code)).toContain('tooFull')
  expect(large.finding).toBeNull()
  // A hob of 3.5 kW fries some 0.45 kg at a time.
  expect(laps).toBeGreaterThanOrEqual(3)
  expect(laps).toBeLessThanOrEqual(4)
})

test('each part has its rice and its seasoning in proportion, and is proven hot before it leaves', () => {
  const rice = massOf(large, 'rice')
  expect(rice).toHaveLength(laps)
  rice.forEach((massG) => expect(massG).toBeCloseTo(LARGE_G / laps, 1))
  expect(massOf(large, 'salt')).toHaveLength(laps)
  expect(massOf(large, 'soy')).toHaveLength(laps)
  expect(actionsOf(large).filter((one) => one === 'riceOut')).toHaveLength(laps - 1)
  const checks = large.steps.filter(({ check }) => check?.food === 'rice')
  expect(checks).toHaveLength(laps)
  large.steps.forEach(({ action }, at) => {
    if (action === 'riceOut') expect(large.steps[at - 1]!.check?.food).toBe('rice')
  })
})

test('what is common is cooked once, waits, and is tossed in with all parts off the flame', () => {
  for (const id of ['egg', 'carrot', 'duck', 'garlic']) expect(massOf(large, id)).toHaveLength(1)
  const at = actionsOf(large).indexOf('tossTogether')
  const together = large.steps[at]!
  expect(together.heat).toBe('off')
  expect(together.figures.coreC).toBeGreaterThan(50)
  expect(together.cautions).toContain('bowlCools')
  const back = new Set(together.entries.map(({ componentId, motion }) => `${motion} ${componentId}`))
  for (const id of ['rice', 'egg', 'carrot', 'duck']) expect(back).toContain(`back ${id}`)
  expect(actionsOf(large).slice(0, at)).not.toContain('bringBack')
})

test('everything is in it, once, whatever it was parted into', () => {
  for (const { id, ratioG } of aBatch([CARROT, DUCK]).dish.components) {
    const inG = large.steps
      .flatMap(({ entries }) => entries)
      .filter((one) => one.componentId === id && (one.motion === 'in' || one.motion === 'plate'))
      .reduce((sum, { massG }) => sum + massG, 0)
    expect(inG).toBeCloseTo((ratioG * LARGE_G) / 100, 0)
  }
})

test('what fries in one is one part, and no bowl is tossed', () => {
  const small = order({ batches: 'tossedInBowl' }, 280)
  expect(small.finding).toBeNull()
  expect(massOf(small, 'rice')).toHaveLength(1)
  expect(actionsOf(small)).not.toContain('tossTogether')
})

test('a part that would steam is found, whichever part it is', () => {
  const weak = { ...HOB, powerW: 900 }
  const sequenced = sequenceBatch(
    aBatch([], { egg: 'firstOut', batches: 'tossedInBowl' }, { batchMassG: 3000, station: weak }),
  )
  expect(sequenced.finding).not.toBeNull()
})
