import { MODELS } from './models'

const ask = (input: object) => {
  const answer = MODELS['book.allergens']!.run({ allergies: ['egg'], ...input })
  return answer.kind === 'output'
    ? (answer.output as {
        verdicts: Record<string, string>
        because: { allergy: string; component: string; why: string }[]
      })
    : { verdicts: { fault: answer.faults[0]!.message }, because: [] }
}

test('contains, may contain, not known, free: each with the component that decides', () => {
  const { verdicts, because } = ask({
    lines: ['220 g cooked rice', '2 eggs', '1 tbsp moon dust', '20 g kimchi'],
    allergies: ['egg', 'peanut'],
  })
  expect(verdicts).toEqual({ egg: 'contains', peanut: 'unknown' })
  expect(because).toEqual([
    { allergy: 'egg', component: 'eggs', why: 'eggs contains egg' },
    { allergy: 'peanut', component: 'moon dust', why: 'moon dust is not in the table: say what is in it' },
  ])
  expect(ask({ lines: ['220 g cooked rice', '2 scallions'] }).verdicts).toEqual({ egg: 'free' })
})

test('a modifier takes out one source, and what stays decides', () => {
  const components = [{ ingredient: 'cooked rice', massG: 220 }, 'egg', 'mayonnaise']
  const without = (...removes: string[]) => ask({ components, modifiers: [{ removes }] })
  expect(without('egg').because.map((one) => one.component)).toEqual(['mayonnaise'])
  expect(without('egg', 'mayonnaise').verdicts).toEqual({ egg: 'free' })
  expect(ask({ components, modifiers: [{ swaps: [{ from: 'egg', to: 'moon dust' }] }] }).verdicts).toEqual({
    egg: 'contains',
  })
  expect(ask({ components: ['rice'], modifiers: [{ adds: ['moon dust'] }] }).verdicts).toEqual({ egg: 'unknown' })
  expect(without('butter').verdicts['fault']).toMatch(/"butter" is not in it: use cooked rice, egg, mayonnaise/)
})

test('a pine nut is a tree nut in a US kitchen, and never called free of nuts in another', () => {
  const nut = (system: string) => ask({ components: ['pine nuts'], allergies: ['nut'], system }).verdicts['nut']
  expect([nut('us'), nut('metric')]).toEqual(['contains', 'mayContain'])
})
