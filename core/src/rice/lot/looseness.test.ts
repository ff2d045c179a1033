import { at, COLD, HOUR_MS, moved, say, T0 } from '../../test/lots'
import { lotFault } from './lotFault'
import type { Looseness } from './looseness'

const LATER_MS = T0 + 20 * HOUR_MS
const loosened = (looseness: Looseness, hours: number) => say(T0 + hours * HOUR_MS, { kind: 'loosened', looseness })
const loosenessOf = (...events: ReturnType<typeof say>[]) => at([...COLD, ...events], LATER_MS).looseness

describe('how well a lot was loosened', () => {
  test('nobody said so at first; the last word holds, and can be taken back', () => {
    const blocks = loosened('blocks', 10)
    const loose = loosened('loose', 11)
    expect(loosenessOf()).toBeNull()
    expect(loosenessOf(blocks, loose)).toBe('loose')
    expect(loosenessOf(blocks, loose, say(T0 + 12 * HOUR_MS, { kind: 'undone', eventId: loose.id }))).toBe('blocks')
  })

  test('frozen it is one block again, of which nobody knows anything', () => {
    expect(loosenessOf(loosened('loose', 10), say(T0 + 11 * HOUR_MS, moved('freezer')))).toBeNull()
  })

  test('it may be said of any lot that is not over, and changes neither its mass nor its judgement', () => {
    const before = at(COLD, LATER_MS)
    expect(lotFault(before, loosened('clumps', 10), 'us', [])).toBeNull()
    const { log: _log, looseness: _looseness, ...after } = at([...COLD, loosened('clumps', 10)], LATER_MS)
    expect(before).toMatchObject(after)
  })
})
