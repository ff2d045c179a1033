import { ladleUses } from './ladleUses'
import type { Component } from './dish'

const sauce: Component = {
  id: 'sauce',
  name: 'house soy',
  role: 'liquidSeasoning',
  state: 'raw',
  ratioG: 10,
  scaling: 'linear',
  gPerML: 1,
  food: 'seasoning',
  cut: null,
  allergens: [],
}
const dish = (id: string, ...components: Component[]) => ({ id, portionRiceG: 200, components })
const tools = (...volumesML: number[]) => ({
  system: 'metric' as const,
  ladles: volumesML.map((volumeML) => ({ name: `${volumeML} mL`, volumeML })),
  scaleResolutionG: 1,
  fineScale: null,
})

test('a ladle measures the dishes whose amounts come to halves of it; another measures nothing', () => {
  // 10 g per 100 g of 200 g rice is 20 g a portion: one 20 mL ladle, and no half of 300 mL up to four portions.
  const uses = ladleUses([dish('duck', sauce), dish('plain')], tools(20, 300))
  expect([...uses]).toEqual([
    ['20 mL', ['duck']],
    ['300 mL', []],
  ])
})

test('what does not pour is not taken by the ladle', () => {
  const uses = ladleUses([dish('duck', { ...sauce, role: 'vegetable' })], tools(20))
  expect(uses.get('20 mL')).toEqual([])
})
