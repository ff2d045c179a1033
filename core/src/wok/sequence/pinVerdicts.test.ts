import type { Pin } from '../../book/pins'
import type { Candidate } from './candidate'
import type { Fault } from './judge'
import { ENTRY_S, forSeconds, type Move } from './moves'
import { pinVerdicts } from './pinVerdicts'

const STEAMS: Fault = { code: 'steams', componentIds: ['rice'] }
const goesIn = (id: string): Move => ({
  kind: 'in',
  slot: id === 'rice' ? 'rice' : 'base',
  ids: [id],
  segment: id === 'rice' ? 'rice' : 'base',
  until: forSeconds(ENTRY_S),
})
const OFF: Move = { kind: 'off', slot: 'off', ids: [], segment: 'end', until: forSeconds(2) }
const way = (order: string, cost: number, faults: Fault[] = []): Candidate =>
  ({
    choice: { egg: order },
    moves: order.split(' ').map((id) => (id === 'off' ? OFF : goesIn(id))),
    run: {},
    faults,
    cost,
  }) as unknown as Candidate

const wordsOf = (moves: readonly Move[]) =>
  moves
    .map(({ kind, ids, until }) =>
      kind === 'off' ? 'off' : `${ids[0]}${until.kind === 'held' ? `:${until.seconds}` : ''}`,
    )
    .join(' ')

/** A kitchen in which the ways that are named break: what was cooked stands beside it. */
function kitchen(...breaking: RegExp[]) {
  const cooked: string[] = []
  const cook = ({ choice, moves }: Pick<Candidate, 'choice' | 'moves'>): Candidate => {
    const words = wordsOf(moves)
    cooked.push(words)
    const faults = breaking.some((one) => one.test(words)) ? [STEAMS] : []
    return { choice, moves, run: {}, faults, cost: 10 } as unknown as Candidate
  }
  return { cook, cooked }
}
const told = (verdicts: ReturnType<typeof pinVerdicts>) =>
  verdicts.map(({ isKept, because }) => (isKept ? 'kept' : because.join('+')))

const PEAS_LATE: Pin = { component: 'peas', slot: 'afterRice' }
const EGG_FIRST: Pin = { component: 'egg', before: 'peas' }
const PEAS_LONG: Pin = { component: 'peas', forS: 40 }

test('where a way that was tried keeps every pin, nothing more is cooked', () => {
  const { cook, cooked } = kitchen()
  expect(
    told(pinVerdicts([PEAS_LATE, EGG_FIRST], [way('egg rice peas off', 20), way('peas egg rice off', 5)], cook)),
  ).toEqual(['kept', 'kept'])
  expect(cooked).toEqual([])
})

test('where none does, the best one is edited pin by pin, and the next pin goes into what came of it', () => {
  const { cook, cooked } = kitchen()
  expect(told(pinVerdicts([EGG_FIRST, PEAS_LATE], [way('peas egg rice off', 5)], cook))).toEqual(['kept', 'kept'])
  expect(cooked).toEqual(['egg peas rice off', 'egg rice peas off'])
})

test('what does not hold is refused with what stands against it, and the others are kept', () => {
  const { cook } = kitchen(/rice peas/)
  expect(told(pinVerdicts([PEAS_LATE, EGG_FIRST], [way('peas egg rice off', 5)], cook))).toEqual(['steams', 'kept'])
})

test('a pin against one that was kept is refused: the first that was said stands', () => {
  const { cook } = kitchen()
  const eggLast: Pin = { component: 'egg', after: 'peas' }
  expect(told(pinVerdicts([EGG_FIRST, eggLast], [way('peas egg rice off', 5)], cook))).toEqual(['kept', 'contradicts'])
})

test('a pin on what is not in the dish is refused', () => {
  const { cook } = kitchen()
  expect(told(pinVerdicts([{ component: 'ham', slot: 'beforeRice' }], [way('egg rice off', 5)], cook))).toEqual([
    'unknownComponent',
  ])
})

test('a time goes into the best way, then into the next best that holds: the first in which it is borne', () => {
  const { cook, cooked } = kitchen(/^peas:40 egg/)
  const verdicts = pinVerdicts(
    [PEAS_LONG],
    [way('peas egg rice off', 5), way('egg peas rice off', 20), way('rice peas egg off', 2, [STEAMS])],
    cook,
  )
  expect(told(verdicts)).toEqual(['kept'])
  expect(cooked).toEqual(['peas:40 egg rice off', 'egg peas:40 rice off'])
})

test('a time that no way bears says what stands against it in the best one', () => {
  const { cook, cooked } = kitchen(/peas:40/)
  const ways = Array.from({ length: 9 }, (_, i) => way('peas egg rice off', 5 + i))
  expect(told(pinVerdicts([PEAS_LONG], ways, cook))).toEqual(['steams'])
  expect(cooked).toHaveLength(6)
})

test('places are settled before times, whatever was said first, and answers stand in the order of the pins', () => {
  const { cook, cooked } = kitchen()
  expect(told(pinVerdicts([PEAS_LONG, PEAS_LATE], [way('peas egg rice off', 5)], cook))).toEqual(['kept', 'kept'])
  expect(cooked).toEqual(['egg rice peas off', 'egg rice peas:40 off'])
})
