import fc from 'fast-check'
import { DISH } from '../test/kitchen'
import { changesBetween, mergeDishes } from './compareDish'

const { version: _version, ...BASE } = DISH
type DishOfTest = typeof BASE
const IDS = BASE.components.map((one) => one.id)

/** One change of an edit: an amount, a line out, a name. */
type Change =
  { kind: 'ratio'; id: string; ratioG: number } | { kind: 'out'; id: string } | { kind: 'name'; name: string }
const change: fc.Arbitrary<Change> = fc.oneof(
  fc.record({
    kind: fc.constant('ratio' as const),
    id: fc.constantFrom(...IDS),
    ratioG: fc.integer({ min: 1, max: 90 }),
  }),
  fc.record({ kind: fc.constant('out' as const), id: fc.constantFrom(...IDS) }),
  fc.record({ kind: fc.constant('name' as const), name: fc.constantFrom('A', 'B', 'C') }),
)
const edited = (changes: readonly Change[]): DishOfTest =>
  changes.reduce<DishOfTest>((dish, one) => {
    switch (one.kind) {
      case 'name':
        return { ...dish, name: one.name }
      case 'out':
        return { ...dish, components: dish.components.filter(({ id }) => id !== one.id) }
      case 'ratio':
        return {
          ...dish,
          components: dish.components.map((line) => (line.id === one.id ? { ...line, ratioG: one.ratioG } : line)),
        }
    }
  }, BASE)
const edits = fc.array(change, { maxLength: 4 })

test('law: with nobody else’s edit the merge is mine, with none of mine it is theirs, with the same twice it is that', () => {
  fc.assert(
    fc.property(edits, (changes) => {
      const dish = edited(changes)
      expect(mergeDishes(BASE, dish, BASE)).toEqual({ dish, conflicts: [] })
      expect(changesBetween(mergeDishes(BASE, BASE, dish).dish, dish)).toEqual([])
      expect(mergeDishes(BASE, dish, dish)).toEqual({ dish, conflicts: [] })
    }),
  )
})

test('law: edits that touch different things meet without a conflict, and both are in it', () => {
  fc.assert(
    fc.property(edits, edits, (mine, theirs) => {
      const touched = (changes: readonly Change[]) =>
        new Set(changes.map((one) => (one.kind === 'name' ? 'name' : one.id)))
      const apart = theirs.filter((one) => !touched(mine).has(one.kind === 'name' ? 'name' : one.id))
      const { dish, conflicts } = mergeDishes(BASE, edited(mine), edited(apart))
      expect(conflicts).toEqual([])
      expect(changesBetween(dish, edited([...mine, ...apart])).filter((one) => one.kind !== 'moved')).toEqual([])
    }),
  )
})

test('law: whoever merges, the same things are in conflict, and each keeps their own', () => {
  fc.assert(
    fc.property(edits, edits, (mine, theirs) => {
      const one = mergeDishes(BASE, edited(mine), edited(theirs))
      const other = mergeDishes(BASE, edited(theirs), edited(mine))
      expect([...one.conflicts].sort()).toEqual([...other.conflicts].sort())
      if (one.conflicts.length === 0)
        expect(changesBetween(one.dish, other.dish).filter(({ kind }) => kind !== 'moved')).toEqual([])
    }),
  )
})

test('law: changes name exactly what differs, and a dish differs from itself in nothing', () => {
  fc.assert(
    fc.property(edits, (changes) => {
      const dish = edited(changes)
      const named = changesBetween(BASE, dish)
      expect(named.some((one) => one.kind === 'head' && one.field === 'name')).toBe(dish.name !== BASE.name)
      const gone = IDS.filter((id) => !dish.components.some((one) => one.id === id))
      expect(named.flatMap((one) => (one.kind === 'removed' ? [one.componentId] : [])).sort()).toEqual([...gone].sort())
      expect(changesBetween(dish, dish)).toEqual([])
    }),
  )
})
