import { HOB } from '../../test/stations'
import { aBatch, CARROT, CHICKEN } from '../../test/wokDishes'
import type { StatedSchools } from '../../book/schools'
import { COATING_MOST_C } from '../heat/vessel'
import { derive } from './derive'
import { sequenceBatch } from './sequenceBatch'

/** Wood only, oil in from cold, and not above its limit: common practice with coated pans. */
const coated = { ...HOB, kind: 'pan' as const, depthM: null, holdC: 240, isCoated: true }
const batchOf = (schools: StatedSchools = {}) =>
  aBatch([CARROT, CHICKEN], schools, { station: coated, batchMassG: 200 })

test.each<[string, StatedSchools]>([
  ['nothing stated', {}],
  ['an edge and a dry vessel to smoke asked for', { tool: 'edge', preheat: 'toSmoke', heat: 'full' }],
])('a coated pan is worked with wood and never heated empty: %s', (_, schools) => {
  const derived = derive(batchOf(schools))
  if (derived.kind !== 'derived') throw new Error('it derives')
  expect(derived.best.choice).toMatchObject({ tool: 'wood', preheat: 'oilFromCold' })
  const metalC = derived.best.run.moves.flatMap(({ startC, endC }) => [startC, endC])
  expect(Math.max(...metalC)).toBeLessThanOrEqual(COATING_MOST_C)
})

test('its first step is the oil, and no step says to heat it to smoke', () => {
  const { steps, finding } = sequenceBatch(batchOf())
  expect(finding).toBeNull()
  expect(steps[0]!.action).toBe('oilIn')
  expect(steps.flatMap(({ cautions }) => cautions)).not.toContain('wokToSmoke')
  expect(steps.find(({ action }) => action === 'riceIn')!.reason).toBe('woodSparesTheMetal')
})

test('the same pan of bare metal is worked as the dish says', () => {
  const derived = derive({ ...batchOf({ tool: 'edge' }), station: { ...coated, isCoated: false } })
  expect(derived.kind === 'derived' && derived.best.choice).toMatchObject({ tool: 'edge', preheat: 'toSmoke' })
})
