import fc from 'fast-check'
import { placeLabels } from './placeLabels'

test('a label stands a little above its place where there is room, and is pushed down where there is none', () => {
  const at = (...ys: number[]) =>
    placeLabels(
      ys.map((y) => ({ y, heightPx: 26 })),
      0,
    ).map((one) => one.labelY)
  expect(at(100)).toEqual([84])
  expect(at(100, 105, 300)).toEqual([84, 110, 284])
  expect(at(3)).toEqual([0])
  expect(at()).toEqual([])
})

test('law: labels keep their order, never overlap, and none stands above its own place less its rise', () => {
  const label = fc.record({ y: fc.integer({ min: 0, max: 2000 }), heightPx: fc.integer({ min: 10, max: 60 }) })
  fc.assert(
    fc.property(fc.array(label, { maxLength: 20 }), (labels) => {
      const placed = placeLabels(labels, 0)
      expect(placed).toHaveLength(labels.length)
      placed.forEach((one, i) => {
        expect(one.labelY).toBeGreaterThanOrEqual(one.y - 16)
        const next = placed[i + 1]
        if (next) expect(next.labelY).toBeGreaterThanOrEqual(one.labelY + one.heightPx)
      })
    }),
  )
})
