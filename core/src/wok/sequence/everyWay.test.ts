import fc from 'fast-check'
import type { Pin } from '../../book/pins'
import type { StatedSchools } from '../../book/schools'
import { anyComponents, anySchools } from '../../test/anyDish'
import { aBatch } from '../../test/wokDishes'
import { aGriddle, HOB, RING } from '../../test/stations'
import { axesOf, majorChoices, minorChanges } from './choices'
import { startDeriving } from './derive'
import { movesOf } from './grammar'
import type { Move } from './moves'
import { MUST_FRY, type Parts } from './parts'
import { keepsPin, withPin } from './pins'
import type { Choice, ComponentInput } from './vocabulary'

const SPLIT = ['milk', 'egg']
type Case = {
  components: ComponentInput[]
  schools: StatedSchools
  station: typeof HOB
  batchMassG: number
  isSplit: boolean
  /** Which of the ways that there are is looked at. */
  nth: number
}
const anyCase: fc.Arbitrary<Case> = fc.record({
  components: anyComponents,
  schools: anySchools,
  station: fc.constantFrom(HOB, RING, aGriddle()),
  batchMassG: fc.constantFrom(260, 600, 1400),
  isSplit: fc.boolean(),
  nth: fc.nat(5000),
})

type Way = { parts: Parts; choice: Choice; moves: Move[] }
/** One way of cooking a case, out of all that the engine looks at. */
function wayOf({ components, schools, station, batchMassG, isSplit, nth }: Case): Way {
  const rest = { station, batchMassG, dish: { components, ...(isSplit && { splitAllergens: SPLIT }) } }
  const { parts, station: at } = startDeriving(aBatch([], schools, rest))
  const axes = axesOf(schools, parts, at)
  const majors = majorChoices(axes, schools)
  const major = majors[nth % majors.length]!
  const all = [major, ...minorChanges(major, axes)]
  const choice = all[nth % all.length]!
  return { parts, choice, moves: movesOf(parts, choice) }
}

const always = (law: (way: Way, one: Case) => void, numRuns = 150) =>
  fc.assert(
    fc.property(anyCase, (one) => law(wayOf(one), one)),
    { numRuns, endOnFailure: true },
  )

const isEntry = ({ kind }: Move) => kind === 'in' || kind === 'plate'
const isLeaving = ({ kind }: Move) => kind === 'out' || kind === 'aside'
/** Grams by component that go in, as shares of all of it. */
function sharesIn(moves: readonly Move[]): Map<string, number> {
  const sums = new Map<string, number>()
  for (const { ids, shares } of moves.filter(isEntry))
    for (const id of ids) sums.set(id, (sums.get(id) ?? 0) + (shares?.[id] ?? 1))
  return sums
}

test('everything goes in whole, and once unless it is shared out; only what fries is poured', () => {
  always(({ parts, moves }) => {
    const sums = sharesIn(moves)
    for (const [id, { place }] of parts.byId)
      expect([id, sums.get(id) ?? 0]).toEqual([id, place === 'fat' ? 0 : expect.closeTo(1, 9)])
    expect(moves.some(({ kind }) => kind === 'oil')).toBe(parts.fat.length > 0)
  })
})

/** What leaves without being in, comes back without having left, or is left in a bowl at the end. */
function astray(moves: readonly Move[]): string[] {
  const [inside, outside, wrong] = [new Set<string>(), new Set<string>(), [] as string[]]
  const pass = (from: Set<string>, to: Set<string>, ids: readonly string[], how: string) => {
    for (const id of ids) {
      if (!from.delete(id)) wrong.push(`${id} ${how}`)
      to.add(id)
    }
  }
  for (const move of moves) {
    if (isEntry(move)) move.ids.forEach((id) => inside.add(id))
    if (isLeaving(move)) pass(inside, outside, move.ids, 'leaves')
    if (move.kind === 'back' || move.kind === 'bowl') pass(outside, inside, move.ids, 'comes back')
  }
  return [...wrong, ...[...outside].map((id) => `${id} is left`)]
}

test('nothing leaves that is not in, comes back that did not leave, or is left in a bowl', () => {
  always(({ moves }) => expect(astray(moves)).toEqual([]))
})

test('the flame goes off once, after the last check of the rice, and no raw food goes in after it', () => {
  always(({ parts, moves }) => {
    const offs = moves.flatMap(({ kind }, at) => (kind === 'off' ? [at] : []))
    expect(offs).toHaveLength(1)
    expect(moves[offs[0]! - 1]!.slot).toBe('hotCheck')
    const raw = new Set(parts.raw.map(({ id }) => id))
    for (const move of moves.slice(offs[0])) expect(isEntry(move) && move.ids.some((id) => raw.has(id))).toBe(false)
  })
})

test('raw food is checked before it meets the rice, or leaves the vessel and comes back', () => {
  always(({ parts, moves }) => {
    const rice = moves.findIndex(({ slot }) => slot === 'rice')
    for (const { id } of parts.raw) {
      const before = moves.slice(0, rice)
      const isChecked = before.some(({ kind, ids }) => kind === 'check' && ids.includes(id))
      expect(isChecked || before.some((move) => isLeaving(move) && move.ids.includes(id))).toBe(true)
    }
  })
})

test('what only some guests may have goes in after the flame is off, unless it has to be fried', () => {
  always((way, one) => {
    if (!one.isSplit) return
    const off = way.moves.findIndex(({ kind }) => kind === 'off')
    for (const [id, { place, allergens }] of way.parts.byId)
      if (!MUST_FRY.includes(place) && allergens.some((name) => SPLIT.includes(name)))
        expect(way.moves.slice(0, off).some((move) => isEntry(move) && move.ids.includes(id))).toBe(false)
  })
})

test('the order in which a dish is written changes nothing', () => {
  always((way, one) => {
    expect(wayOf({ ...one, components: [...one.components].reverse() }).moves).toEqual(way.moves)
  }, 60)
})

describe('a pin put into a way', () => {
  const entered = (moves: readonly Move[]) => moves.filter(({ kind }) => kind === 'in').flatMap(({ ids }) => ids)
  const pinsOf = (ids: readonly string[], nth: number): Pin[] => {
    const [one, other] = [ids[nth % ids.length]!, ids[(nth + 1) % ids.length]!]
    return [
      ...(one === other
        ? []
        : [
            { component: one, before: other },
            { component: one, after: other },
          ]),
      ...(['beforeRice', 'afterRice', 'afterOff'] as const).map((slot) => ({ component: one, slot })),
      ...[5, 60, 600].map((forS) => ({ component: one, forS })),
    ]
  }

  test('is kept, and everything else still goes in whole', () => {
    always(({ moves }, { nth }) => {
      const ids = [...new Set(entered(moves))].filter((id) => id !== 'rice' && !id.startsWith('rice'))
      if (ids.length === 0) return
      const isShared = moves.some(({ shares }) => shares !== undefined)
      for (const pin of isShared ? [] : pinsOf(ids, nth)) {
        const edited = withPin(moves, pin)!
        expect([pin, keepsPin(edited, pin)]).toEqual([pin, true])
        expect([...sharesIn(edited)].sort()).toEqual([...sharesIn(moves)].sort())
      }
    })
  })

  test('takes out what stayed and brings it back, or lets stay what left', () => {
    always(({ moves }, { nth }) => {
      const off = moves.findIndex(({ kind }) => kind === 'off')
      const ids = [...new Set(entered(moves.slice(0, off)))].filter((id) => !id.startsWith('rice'))
      if (ids.length === 0 || moves.some(({ slot }) => slot === 'lap')) return
      const component = ids[nth % ids.length]!
      for (const leaves of [true, false]) {
        const pin = { component, leaves }
        if (keepsPin(moves, pin)) continue
        const edited = withPin(moves, pin)!
        expect([pin, keepsPin(edited, pin), astray(edited)]).toEqual([pin, true, []])
      }
    })
  })

  test('that names what is not in the dish is none', () => {
    always(({ moves }) => {
      for (const pin of pinsOf(['nothing', 'rice'], 0)) {
        expect(keepsPin(moves, pin)).toBe(false)
        expect(withPin(moves, pin)).toBeNull()
      }
      expect(withPin(moves, { component: 'rice', before: 'nothing' })).toBeNull()
    }, 40)
  })
})
