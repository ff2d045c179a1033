import { RING } from '../../test/stations'
import { aBatch } from '../../test/wokDishes'
import { derive } from './derive'
import type { ComponentInput } from './vocabulary'

const WATERY: ComponentInput[] = [
  { id: 'rice', role: 'rice', ratioG: 100 },
  { id: 'stock', role: 'aromatic', food: 'water', state: 'blanched', ratioG: 5, cut: { sizeMm: 4 } },
  { id: 'paste', role: 'liquidSeasoning', food: 'paste', ratioG: 20 },
  { id: 'root', role: 'protein', food: 'hardVeg', state: 'raw', ratioG: 2, cut: { sizeMm: 5 } },
  { id: 'stems', role: 'aromatic', food: 'stem', ratioG: 11, cut: { sizeMm: 2 } },
  { id: 'butter', role: 'drySeasoning', food: 'butter', ratioG: 1, cut: { sizeMm: 3 } },
]

test.each([{}, { heat: 'full', rice: 'stir', returns: 'beforeSauce' }] as const)(
  'what boils dry before it is taken out has a temperature in its bowl: the dish is answered, with %o',
  (schools) => {
    const answer = derive(aBatch([], schools, { station: RING, batchMassG: 600, dish: { components: WATERY } }))
    expect(answer.kind).toBe('infeasible')
    expect(answer).toMatchObject({ faults: expect.arrayContaining([expect.objectContaining({ code: 'rawCold' })]) })
  },
)
