import fc from 'fast-check'
import { STAGES, type StageShare } from './dish'
import { restOf, withStage } from './stages'

test('half with the rice leaves half; all of it elsewhere leaves nothing', () => {
  expect(restOf([])).toBe(1)
  expect(restOf([{ at: 'rice', share: 0.5 }])).toBeCloseTo(0.5)
  expect(restOf(STAGES.slice(0, 4).map((at) => ({ at, share: 0.25 })))).toBe(0)
  // Thirds are typed as 33 %.
  expect(restOf(STAGES.slice(0, 3).map((at) => ({ at, share: 0.333 })))).toBe(0)
})

test.each<[string, StageShare[]]>([
  [
    'more than there is',
    [
      { at: 'egg', share: 0.6 },
      { at: 'rice', share: 0.6 },
    ],
  ],
  [
    'one stage twice',
    [
      { at: 'egg', share: 0.2 },
      { at: 'egg', share: 0.2 },
    ],
  ],
  ['nothing', [{ at: 'egg', share: 0 }]],
  ['no number', [{ at: 'egg', share: NaN }]],
])('%s is no way to share', (_, stages) => expect(restOf(stages)).toBeNull())

test('whatever is set in whatever order, the shares stay parts of one whole, in the order of a run', () => {
  const settings = fc.array(fc.tuple(fc.constantFrom(...STAGES), fc.double({ min: 0, max: 3, noNaN: true })), {
    maxLength: 12,
  })
  fc.assert(
    fc.property(settings, (some) => {
      const stages = some.reduce<StageShare[]>((now, [at, share]) => withStage(now, at, share), [])
      expect(restOf(stages)).not.toBeNull()
      const order = stages.map(({ at }) => STAGES.indexOf(at))
      expect(order).toEqual([...order].sort((a, b) => a - b))
    }),
    { endOnFailure: true },
  )
})
