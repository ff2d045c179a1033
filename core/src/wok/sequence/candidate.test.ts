import type { Candidate } from './candidate'
import { best, checked, runnerUpOf } from './candidate'
import type { Fault } from './judge'
import type { Move } from './moves'

const BURNT: Fault = { code: 'burnt', componentIds: ['garlic'] }
const entry = (id: string): Move => ({
  kind: 'in',
  slot: 'base',
  ids: [id],
  segment: 'base',
  until: { kind: 'seconds', seconds: 1 },
})
const one = (
  cost: number,
  more: { faults?: Fault[]; egg?: string; heat?: string; order?: string[] } = {},
): Candidate => {
  const { faults = [], egg = 'well', heat = 'full', order = ['a', 'b'] } = more
  return { choice: { egg, heat }, moves: order.map(entry), run: {}, faults, cost } as unknown as Candidate
}

test('what holds goes before what is cheaper and does not', () => {
  const holds = one(90)
  expect(best([one(10, { faults: [BURNT] }), holds])).toBe(holds)
})

test('within 1.5 of the cheapest the first in order stands, so that nothing flickers', () => {
  const first = one(21.4)
  expect(best([first, one(20)])).toBe(first)
  const clearly = one(20)
  expect(best([one(21.6), clearly])).toBe(clearly)
})

test('where nothing holds, the one with the fewest faults is what is spoken of', () => {
  const least = one(50, { faults: [BURNT] })
  expect(best([one(1, { faults: [BURNT, BURNT] }), least])).toBe(least)
})

test('the chosen one is cooked finely; if it breaks there, the next is asked, and at last the first is reported', () => {
  const [cheap, dear] = [one(10), one(30)]
  const finely = (breaks: readonly Candidate[]) => (it: Candidate) =>
    breaks.includes(it) ? { ...it, faults: [BURNT] } : it
  expect(checked([cheap, dear], finely([]))).toBe(cheap)
  expect(checked([cheap, dear], finely([cheap]))).toBe(dear)
  expect(checked([cheap, dear], finely([cheap, dear]))).toMatchObject({ cost: 10, faults: [BURNT] })
})

test('the runner-up is another way: another egg, another heat or another order, and it holds', () => {
  const chosen = one(10)
  const otherEgg = one(14, { egg: 'sheet' })
  expect(runnerUpOf([chosen, one(11), otherEgg], chosen)).toBe(otherEgg)
  const otherOrder = one(12, { order: ['b', 'a'] })
  expect(runnerUpOf([chosen, otherOrder, otherEgg], chosen)).toBe(otherOrder)
  expect(runnerUpOf([chosen, one(11), one(9, { egg: 'sheet', faults: [BURNT] })], chosen)).toBeNull()
})
