import fc from 'fast-check'
import { at, COLD, HOUR_MS, HOUSE, LOAD, MIN_MS, moved, read, say, spread, T0, type Said } from '../../test/lots'
import { lotFault } from './lotFault'

describe('a lot', () => {
  test('goes from the heat to the wok: cooking, cooling, chilling, ready, tempering, used up', () => {
    const events = [
      ...COLD,
      say(T0 + 6 * HOUR_MS, moved('bench')),
      say(T0 + 7 * HOUR_MS, { kind: 'used', runId: 'r', massG: 4000 }),
    ]
    const stages = [0.2, 0.6, 3, 5, 6.5, 8].map((h) => at(events, T0 + h * HOUR_MS).stage)
    expect(stages).toEqual(['cooking', 'cooling', 'chilling', 'ready', 'tempering', 'used'])
    expect(at(events, T0 + 5 * HOUR_MS)).toMatchObject({ massG: 4000, isUsable: true, verdict: 'met' })
    expect(at(events, T0 + 3 * HOUR_MS).isUsable).toBe(false)
  })

  test('a reading over the limit in its very second refuses it; a second earlier it does not', () => {
    const start = T0 + HOUR_MS
    const hot = (ms: number) => [...COLD.slice(0, 2), say(ms, read(22))]
    const limitMs = start + 2 * HOUR_MS
    expect(at(hot(limitMs - 1000), limitMs - 1000).stage).toBe('cooling')
    expect(at(hot(limitMs), limitMs)).toMatchObject({ stage: 'refused', end: { reason: 'cooling', atMs: limitMs } })
    const cool = [...COLD.slice(0, 2), say(limitMs, read(21))]
    expect(at(cool, limitMs).logs[0]!.log.steps[0]!.verdict).toBe('met')
  })

  test('past its limit without a reading it is overdue; a cold reading then is unproven until the lead accepts it', () => {
    const hot = COLD.slice(0, 2)
    expect(at(hot, T0 + 3 * HOUR_MS + 1).verdict).toBe('overdue')
    const late = [...hot, say(T0 + 4 * HOUR_MS, read(5))]
    expect(at(late, T0 + 5 * HOUR_MS)).toMatchObject({ verdict: 'unproven', isUsable: false })
    const accepted = [
      ...late,
      say(T0 + 4.1 * HOUR_MS, { kind: 'accepted', reason: 'logger showed 20 °C', staffId: 'odalys' }),
    ]
    expect(at(accepted, T0 + 5 * HOUR_MS)).toMatchObject({ stage: 'ready', isUsable: true })
  })

  test('two people end it, one an hour without a network: the first end stands, the other is kept', () => {
    const first = say(T0 + 5 * HOUR_MS, { kind: 'discarded', massG: null, reason: 'endOfDay' })
    const second = say(T0 + 5.5 * HOUR_MS, { kind: 'finished' })
    for (const order of [
      [first, second],
      [second, first],
    ]) {
      const state = at([...COLD, ...order], T0 + 7 * HOUR_MS)
      expect(state).toMatchObject({ stage: 'discarded', discardedG: 4000 })
      expect(state.log.filter((one) => one.why === 'afterEnd').map((one) => one.event.id)).toEqual([second.id])
    }
  })

  test('a rule set changed while it cools: it must keep both, and the log shows both', () => {
    const changed = [...COLD, say(T0 + 2 * HOUR_MS, { kind: 'ruleSet', from: 'us', to: 'uk' })]
    const state = at(changed, T0 + 5 * HOUR_MS)
    expect(state.logs.map((one) => one.ruleSet)).toEqual(['us', 'uk'])
    expect(state.logs[0]!.log.steps[0]!.verdict).toBe('met')
    expect(state).toMatchObject({ stage: 'refused', verdict: 'broken' })
  })

  test('a rule set changed once it is cold: it has cooled, and both hold it from here on', () => {
    const changed = [...COLD, say(T0 + 6 * HOUR_MS, { kind: 'ruleSet', from: 'us', to: 'uk' })]
    const state = at(changed, T0 + 7 * HOUR_MS)
    expect(state.logs.map((one) => one.ruleSet)).toEqual(['us'])
    expect(state).toMatchObject({ stage: 'ready', useByMs: T0 + 24.5 * HOUR_MS })
  })

  test('a doubtful reading counts only once it was confirmed', () => {
    const odd = say(T0 + 1.2 * HOUR_MS, { kind: 'read', tempC: 3, source: 'probe', doubt: 'drop' })
    expect(at([...COLD.slice(0, 2), odd], T0 + 1.3 * HOUR_MS).lastTempC).toBe(57)
    const sure = say(T0 + 1.25 * HOUR_MS, { kind: 'confirmed', eventId: odd.id })
    expect(at([...COLD.slice(0, 2), odd, sure], T0 + 1.3 * HOUR_MS).stage).toBe('ready')
  })

  test('its time out of the cold runs on the bench, adds up, and ends its use', () => {
    const out = [...COLD, say(T0 + 6 * HOUR_MS, moved('bench'))]
    const state = at(out, T0 + 7 * HOUR_MS)
    expect(state).toMatchObject({ outS: 3600, outByMs: T0 + 10 * HOUR_MS, isUsable: true })
    expect(at(out, T0 + 10 * HOUR_MS + 1).isUsable).toBe(false)
    expect(at(out, T0 + 7 * HOUR_MS, LOAD, { ...HOUSE, outMin: 120 }).outByMs).toBe(T0 + 8 * HOUR_MS)
    const back = [
      ...out,
      say(T0 + 7 * HOUR_MS - MIN_MS, read(5)),
      say(T0 + 7 * HOUR_MS, moved('fridge')),
      say(T0 + 9 * HOUR_MS, moved('bench')),
    ]
    expect(at(back, T0 + 9.5 * HOUR_MS).outS).toBe(1.5 * 3600)
  })

  test('a warm reading in the fridge starts the clock at the last cold one', () => {
    const warm = [...COLD, say(T0 + 6 * HOUR_MS, read(9))]
    expect(at(warm, T0 + 6 * HOUR_MS).outSinceMs).toBe(T0 + 4 * HOUR_MS)
    const cold = [...warm, say(T0 + 7 * HOUR_MS, read(4))]
    expect(at(cold, T0 + 8 * HOUR_MS)).toMatchObject({ outSinceMs: null, outS: 3 * 3600 })
  })

  test('the date mark: day of cooking is day 1; a day in the freezer does not count; the house may be tighter', () => {
    const endOf = (day: number) => Date.parse(`2026-11-${String(day).padStart(2, '0')}T00:00:00Z`) + 24 * HOUR_MS - 1
    const cookedAtMs = T0 + 0.5 * HOUR_MS
    expect(at(COLD, T0 + 5 * HOUR_MS).useByMs).toBe(Date.parse('2026-12-01T23:59:59.999Z'))
    expect(at(COLD, T0 + 5 * HOUR_MS, { ...LOAD, ruleSet: 'au' }).useByMs).toBe(endOf(27))
    expect(at(COLD, T0 + 5 * HOUR_MS, LOAD, { ...HOUSE, keepDays: 2 }).useByMs).toBe(endOf(26))
    const uk = { ...LOAD, ruleSet: 'uk' as const, massG: 1000, tempC: 4, cookedAtMs, place: 'fridge' as const }
    expect(at([], T0 + 5 * HOUR_MS, uk)).toMatchObject({ useByMs: cookedAtMs + 24 * HOUR_MS, stage: 'ready' })
    const frozen = [...COLD, say(T0 + 5 * HOUR_MS, moved('freezer')), say(T0 + 29 * HOUR_MS, moved('fridge'))]
    expect(at(frozen, T0 + 30 * HOUR_MS).useByMs).toBe(Date.parse('2026-12-02T23:59:59.999Z'))
  })

  test('an undo takes back what it names', () => {
    const thrown = say(T0 + 5 * HOUR_MS, { kind: 'discarded', massG: null, reason: 'spilled' })
    const undo = say(T0 + 5.1 * HOUR_MS, { kind: 'undone', eventId: thrown.id })
    expect(at([...COLD, thrown, undo], T0 + 6 * HOUR_MS)).toMatchObject({ stage: 'ready', massG: 4000 })
  })

  test('used beyond its mass: nothing is refused, what is missing is named, a count puts it right', () => {
    const over = [...COLD, say(T0 + 6 * HOUR_MS, { kind: 'used', runId: 'r', massG: 4700 })]
    expect(at(over, T0 + 7 * HOUR_MS)).toMatchObject({ stage: 'used', massG: 0, overdrawnG: 700, usedG: 4700 })
    const counted = [...COLD, say(T0 + 5.5 * HOUR_MS, { kind: 'counted', massG: 5200 }), over.at(-1)!]
    expect(at(counted, T0 + 7 * HOUR_MS)).toMatchObject({ stage: 'ready', massG: 500, overdrawnG: 0 })
  })
})

describe('what a lot refuses', () => {
  const ready = at(COLD, T0 + 5 * HOUR_MS)
  const fault = (state: typeof ready, said: Said) =>
    lotFault(state, say(T0 + 5 * HOUR_MS, said), 'us', ['odalys'])?.code ?? null
  test('more than it has, the bench while it is warm, the freezer twice, the fridge after the bench', () => {
    expect(fault(ready, { kind: 'gave', toLotId: 'b', massG: 4100 })).toBe('lot-short')
    expect(fault(ready, { kind: 'gave', toLotId: 'b', massG: 3900 })).toBeNull()
    expect(fault(at(COLD.slice(0, 2), T0 + 1.5 * HOUR_MS), moved('bench'))).toBe('lot-not-cold')
    const thawed = at(
      [...COLD, say(T0 + 5 * HOUR_MS, moved('freezer')), say(T0 + 6 * HOUR_MS, moved('fridge'))],
      T0 + 7 * HOUR_MS,
    )
    expect(fault(thawed, moved('freezer'))).toBe('lot-frozen-once')
    const out = at([...COLD, say(T0 + 5 * HOUR_MS, moved('bench'))], T0 + 6 * HOUR_MS)
    expect(fault(out, moved('fridge'))).toBe('lot-not-back')
    expect(lotFault(out, say(T0, moved('fridge')), 'au', [])).toBeNull()
  })
  test.each([0, 0.6])('a depth of %d m', (depthM) => {
    const born = at([], T0)
    expect(lotFault(born, say(T0, { ...spread(), depthM }), 'us', [])).toMatchObject({ code: 'lot-depth' })
  })
})

test('any order of arrival gives the same lot, and mass is never created', () => {
  const anySaid: fc.Arbitrary<Said> = fc.oneof(
    fc.integer({ min: 1, max: 3000 }).map((massG): Said => ({ kind: 'used', runId: 'r', massG })),
    fc.integer({ min: 1, max: 3000 }).map((massG): Said => ({ kind: 'gave', toLotId: 'b', massG })),
    fc.integer({ min: 1, max: 3000 }).map((massG): Said => ({ kind: 'discarded', massG, reason: 'old' })),
    fc.integer({ min: 0, max: 40 }).map(read),
    fc.constantFrom(moved('bench'), moved('fridge'), moved('freezer')),
    fc.constant<Said>({ kind: 'finished' }),
  )
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: 0, max: 600 }), anySaid), { maxLength: 14 }),
      fc.infiniteStream(fc.nat()),
      (said, keys) => {
        const events = [...COLD, ...said.map(([minute, one]) => say(T0 + 5 * HOUR_MS + minute * MIN_MS, one))]
        const shuffled = events
          .map((event) => ({ event, key: keys.next().value as number }))
          .sort((a, b) => a.key - b.key)
          .map(({ event }) => event)
        const nowMs = T0 + 16 * HOUR_MS
        const state = at(events, nowMs)
        expect(at([...shuffled, events[0]!], nowMs)).toEqual(state)
        const took = state.usedG - state.overdrawnG
        expect(state.massG + state.discardedG + Math.min(took, 4000)).toBeLessThanOrEqual(4000 + 1e-6)
        expect(state.massG).toBeGreaterThanOrEqual(0)
      },
    ),
    { seed: 8, numRuns: 150 },
  )
})
