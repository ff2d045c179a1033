import { HOB } from '../../test/stations'
import { aBatch } from '../../test/wokDishes'
import type { StatedSchools } from '../../book/schools'
import { OPENS_S, lumpLagS } from './lumps'
import { sequenceBatch } from './sequenceBatch'

const rice = (riceLumpMm: number, schools: StatedSchools = {}) => {
  const sequenced = sequenceBatch(aBatch([], { egg: 'firstOut', ...schools }, { station: HOB, riceLumpMm }))
  return { ...sequenced, step: sequenced.steps.find(({ action }) => action === 'riceIn') }
}

test('the middle of a lump of 20 mm is warm a minute later than its grains; twice the size takes four times as long', () => {
  // A ball's middle follows its mean by radius² over ten diffusivities: 0.01² / (10 × 1.4e-7) = 71 s.
  expect(lumpLagS(20)).toBeCloseTo(71.4, 1)
  expect(lumpLagS(40) / lumpLagS(20)).toBeCloseTo(4, 9)
  expect(lumpLagS(0)).toBe(0)
})

test('lumpy rice takes longer, and the more so the larger its lumps; loose rice as long as ever', () => {
  const seconds = [0, 10, 20, 40].map((mm) => rice(mm).step!.durationS)
  expect(seconds[1]).toBeGreaterThanOrEqual(seconds[0]!)
  expect(seconds[3]).toBeGreaterThan(seconds[2]!)
  expect(seconds[2]).toBeGreaterThan(seconds[0]!)
  expect(rice(0).totalS).toBe(sequenceBatch(aBatch([], { egg: 'firstOut' })).totalS)
})

test('an edge opens lumps sooner than wood does, and each tool says what it does', () => {
  const byTool = Object.fromEntries(
    (['edge', 'ladle', 'wood'] as const).map((tool) => [tool, rice(40, { tool }).step!]),
  )
  expect(byTool['edge']!.durationS).toBeLessThan(byTool['ladle']!.durationS)
  expect(byTool['ladle']!.durationS).toBeLessThanOrEqual(byTool['wood']!.durationS)
  expect(byTool['edge']!.reason).toBe('edgeChopsLumps')
  expect(byTool['wood']!.reason).toBe('woodSparesTheMetal')
  expect(byTool['ladle']!.reason).toBe('riceNeedsDryHeat')
  expect(Math.min(...Object.values(OPENS_S))).toBe(OPENS_S.edge)
})

test('a block that stays cold in the middle is never called hot', () => {
  const block = rice(80, { tool: 'wood' })
  const isFound = block.finding !== null
  expect(isFound || block.step!.durationS > rice(0).step!.durationS).toBe(true)
  expect(block.steps.every(({ action, figures }) => action !== 'hotCheck' || (figures.coreC ?? 0) >= 74)).toBe(true)
})
