import fc from 'fast-check'
import { rushOf, smallInstance } from '../../test/lineInstances'
import { beginChange, capOf, loadOf, takeBack } from './batch'
import { chance, seedWith } from './chance'
import { decode, forgetFrom, NEVER } from './decode'
import { dispatch, inOrderOf, RULES } from './dispatch'
import type { LineInstance } from './instance'
import { load, type Loaded } from './load'
import {
  AVOIDS,
  BATCH,
  CONTENTS,
  COUNT,
  DISH,
  HANDS_SLOTS,
  HEAD,
  NEXT,
  ORDER,
  pieceFamily,
  S,
  size,
  STATION,
} from './memory'
import { BUSY, CALM, move, RUSH } from './moves'
import { itemsGone, piecesOf } from './pieces'
import { fillFrom, listNow } from './placeList'
import { polishDelays, tidy } from './polish'
import { keepSolution, roomForSolution, takeSolution } from './solution'

const NEAR = 1e-6
const SHARES = [RUSH, BUSY, CALM]

/** An instance in the planner's memory, with a first plan of a textbook's rule. */
function begin(instance: LineInstance, seed: number): Loaded {
  const loaded = load(instance, piecesOf(instance, itemsGone(instance)))
  dispatch(loaded, inOrderOf(RULES[seed % RULES.length]!, loaded))
  forgetFrom(0)
  seedWith(seed)
  return loaded
}

/** Points of the plan at hand, as if nothing of it had been placed before. */
function pointsAfresh(): number {
  forgetFrom(0)
  return decode(0, NEVER)
}

/** Moves as annealing does, but takes or leaves each by chance. @returns points, kept up from move to move */
function wander(
  loaded: Loaded,
  moves: number,
  after: (first: number, points: number) => void = () => undefined,
): number {
  const shares = SHARES[moves % SHARES.length]!
  const sum = shares.reduce((all, share) => all + share, 0)
  let points = pointsAfresh()
  for (let turn = 0; turn < moves; turn += 1) {
    beginChange()
    const first = move(loaded, shares, sum)
    if (first === -1) continue
    const now = first >= 0 && chance() < 0.6 ? decode(first, NEVER) : NEVER
    if (now === NEVER) {
      takeBack()
      continue
    }
    forgetFrom(first)
    points = now
    after(first, points)
  }
  return points
}

const anySeed = fc.integer({ min: 1, max: 1_000_000 })
const anyCase = fc.record({ seed: anySeed, moves: fc.integer({ min: 5, max: 80 }), isRush: fc.boolean() })
type Case = { seed: number; moves: number; isRush: boolean }
const instanceOf = ({ seed, isRush }: Case) => (isRush ? rushOf(24, seed) : smallInstance(seed))

/** Checks a law on small evenings with everything in them and on parts of a rush, after any row of moves. */
function always(law: (loaded: Loaded, one: Case, instance: LineInstance) => void, numRuns = 120): void {
  fc.assert(
    fc.property(anyCase, (one) => {
      const instance = instanceOf(one)
      const loaded = begin(instance, one.seed)
      if (S[COUNT]! > 0) law(loaded, one, instance)
    }),
    { numRuns, endOnFailure: true },
  )
}

const batches = () => Array.from({ length: S[COUNT]! }, (_, position) => S[ORDER + position]!)
const piecesIn = (batch: number): number[] => {
  const pieces: number[] = []
  for (let piece = S[HEAD + batch]!; piece >= 0; piece = S[NEXT + piece]!) pieces.push(piece)
  return pieces
}

describe('after any row of moves', () => {
  test('each piece is fried once, in the batch that it says, and no batch is empty', () => {
    always((loaded, { moves }) => {
      wander(loaded, moves)
      const inBatches = batches().flatMap((batch) => {
        const pieces = piecesIn(batch)
        expect(pieces.length).toBeGreaterThan(0)
        expect(pieces.map((piece) => S[BATCH + piece])).toEqual(pieces.map(() => batch))
        return pieces
      })
      expect(inBatches.sort((a, b) => a - b)).toEqual([...loaded.free].sort((a, b) => a - b))
      const slots = Array.from({ length: size.pieces }, (_, at) => S[ORDER + at]!)
      expect(slots.sort((a, b) => a - b)).toEqual(slots.map((_, at) => at))
    })
  })

  test('a batch is one family on a station that takes it, and nobody’s allergen is in it', () => {
    always((loaded, { moves }) => {
      wander(loaded, moves)
      for (const batch of batches()) {
        expect(new Set(piecesIn(batch).map((piece) => pieceFamily[piece])).size).toBe(1)
        expect(loadOf(batch)).toBeLessThanOrEqual(capOf(S[STATION + batch]!, S[DISH + batch]!) + NEAR)
        expect(S[AVOIDS + batch]! & S[CONTENTS + batch]!).toBe(0)
      }
    })
  })

  test('points kept up from move to move are those of placing everything again', () => {
    always((loaded, { moves }) => {
      const kept = wander(loaded, moves)
      expect(pointsAfresh()).toBeCloseTo(kept, 6)
    })
  })

  test('its list, placed again in a memory made anew, is the same plan', () => {
    always((loaded, { moves }, instance) => {
      const points = wander(loaded, moves)
      const [list, handsSlots] = [listNow(loaded), S[HANDS_SLOTS]]
      const again = begin(instance, 1)
      expect(fillFrom(again, list)).toBeCloseTo(points, 6)
      expect(S[HANDS_SLOTS]).toBe(handsSlots)
      expect(listNow(again)).toEqual(list)
    })
  })
})

test('a move taken back leaves nothing behind', () => {
  always((loaded, { seed, moves }) => {
    wander(loaded, moves)
    const shares = SHARES[seed % SHARES.length]!
    const sum = shares.reduce((all, share) => all + share, 0)
    for (let turn = 0; turn < 10; turn += 1) {
      const [before, points] = [S.slice(), pointsAfresh()]
      beginChange()
      move(loaded, shares, sum)
      takeBack()
      expect(S.findIndex((word, at) => word !== before[at])).toBe(-1)
      expect(pointsAfresh()).toBe(points)
    }
  }, 60)
})

test('a bound stops a plan that is dearer, and changes nothing for one that is not', () => {
  always((loaded, { moves }) => {
    const points = wander(loaded, moves)
    for (const share of [0.2, 0.9, 0.999]) expect(decode(0, points * share)).toBe(NEVER)
    for (const share of [1.001, 1.5]) expect(decode(0, points * share)).toBeCloseTo(points, 6)
  })
})

test('a solution that was kept is the same when it is taken again', () => {
  always((loaded, { moves }) => {
    const points = wander(loaded, moves)
    const [kept, list] = [roomForSolution(), listNow(loaded)]
    keepSolution(kept)
    wander(loaded, moves)
    takeSolution(kept)
    expect(pointsAfresh()).toBeCloseTo(points, 6)
    expect(listNow(loaded)).toEqual(list)
  })
})

test('polished waits and a tidied plan are never dearer, and cost what they say', () => {
  always((loaded, { moves }) => {
    const wandered = wander(loaded, moves)
    const polished = polishDelays(wandered)
    expect(polished).toBeLessThanOrEqual(wandered + NEAR)
    expect(pointsAfresh()).toBeCloseTo(polished, 6)
    const tidied = tidy(polished)
    expect(tidied).toBeLessThanOrEqual(polished + NEAR)
    expect(pointsAfresh()).toBeCloseTo(tidied, 4)
  }, 60)
})
