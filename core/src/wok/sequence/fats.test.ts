import { RING } from '../../test/stations'
import { aBatch, ONION, PLAIN, SHRIMP } from '../../test/wokDishes'
import { sequenceBatch, type Sequenced } from './sequenceBatch'
import type { SequenceInput } from './derive'
import type { ComponentInput } from './vocabulary'

const BELLY: ComponentInput = {
  id: 'belly',
  role: 'protein',
  food: 'meat',
  mustCook: true,
  ratioG: 20,
  cut: { sizeMm: 4 },
  fatFraction: 0.4,
}
const without = (batch: SequenceInput, id: string): SequenceInput => ({
  ...batch,
  dish: { ...batch.dish, components: batch.dish.components.filter((one) => one.id !== id) },
})
const actionsOf = ({ steps }: Sequenced) => steps.map(({ action }) => action)
const stepWith = ({ steps }: Sequenced, id: string) =>
  steps.find(({ entries }) => entries.some(({ componentId, motion }) => componentId === id && motion === 'in'))!

test('belly that is fried gives its fat to the metal, and the step says how much', () => {
  const sequenced = sequenceBatch(aBatch([BELLY], { egg: 'firstOut', rawProtein: 'ownOut' }))
  expect(sequenced.finding).toBeNull()
  const { renderedG = 0 } = stepWith(sequenced, 'belly').figures
  // A fifth of 280 g, two fifths of it fat: no more than that can run out, and some of it does.
  expect(renderedG).toBeGreaterThan(2)
  expect(renderedG).toBeLessThan(0.2 * 280 * 0.4)
  const lean = sequenceBatch(aBatch([{ ...BELLY, fatFraction: 0.03 }], { egg: 'firstOut', rawProtein: 'ownOut' }))
  expect(stepWith(lean, 'belly').figures.renderedG).toBeUndefined()
})

test('where the dish has no fat, what gives some goes in first, and the egg and the rest fry in it', () => {
  const sequenced = sequenceBatch(without(aBatch([BELLY, ONION], { egg: 'firstOut' }), 'oil'))
  expect(sequenced.finding).toBeNull()
  const actions = actionsOf(sequenced)
  expect(actions).not.toContain('oilIn')
  expect(actions.indexOf('proteinIn')).toBeLessThan(actions.indexOf('eggIn'))
  expect(stepWith(sequenced, 'belly').reason).toBe('itsFatFriesTheRest')
  expect(sequenced.steps.some(({ check }) => check?.food === 'meat')).toBe(true)
})

test('nobody is told to pour oil that is not there', () => {
  const sequenced = sequenceBatch(without(aBatch([SHRIMP], { egg: 'firstOut' }), 'oil'))
  expect(actionsOf(sequenced)).not.toContain('oilIn')
})

test('lean oil goes in once; usual oil is shared out; it is the same oil', () => {
  const pouredG = (oil: 'lean' | 'usual') =>
    sequenceBatch(aBatch([ONION, SHRIMP], { egg: 'firstOut', rawProtein: 'ownOut', oil })).steps.flatMap(
      ({ entries }) => entries.filter(({ componentId }) => componentId === 'oil').map(({ massG }) => massG),
    )
  expect(pouredG('lean')).toHaveLength(1)
  expect(pouredG('usual').length).toBeGreaterThan(1)
  const sum = (some: readonly number[]) => some.reduce((total, one) => total + one, 0)
  expect(sum(pouredG('lean'))).toBeCloseTo(sum(pouredG('usual')), 1)
  expect(sum(pouredG('lean'))).toBeCloseTo((PLAIN.find(({ id }) => id === 'oil')!.ratioG * 280) / 100, 1)
})

test('a fat is called near its smoke by its own smoke point', () => {
  const oil = (smokesAtC: number) => {
    const batch = aBatch([], { egg: 'firstOut' }, { station: RING })
    const components = batch.dish.components.map((one) => (one.id === 'oil' ? { ...one, smokesAtC } : one))
    const poured = sequenceBatch({ ...batch, dish: { ...batch.dish, components } }).steps
    return poured.find(({ action }) => action === 'oilIn')!.cautions.includes('oilNearSmoke')
  }
  expect([oil(190), oil(280)]).toEqual([true, false])
})

test('fat pressed out of the egg stays on the metal; else some leaves with it', () => {
  const egg = (oil: 'rich' | 'pressedBack') =>
    sequenceBatch(aBatch([{ ...ONION, ratioG: 20 }], { egg: 'firstOut', oil }, { batchMassG: 800, station: RING }))
      .steps
  const out = (oil: 'rich' | 'pressedBack') => egg(oil).find(({ action }) => action === 'eggOut')!.figures.carriedG ?? 0
  expect(out('rich')).toBeGreaterThan(1)
  expect(out('pressedBack')).toBe(0)
  // What is on the metal when the next oil goes in is the ledger of both.
  const left = (oil: 'rich' | 'pressedBack') =>
    egg(oil).filter(({ action }) => action === 'oilIn')[1]!.figures.onMetalG ?? 0
  expect(left('pressedBack') - left('rich')).toBeCloseTo(out('rich'), 0)
})
