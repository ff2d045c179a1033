import fc from 'fast-check'
import {
  at,
  COLD,
  COLD_LOT,
  HOUR_MS,
  HOUSE,
  LOAD,
  MIN_MS,
  moved,
  read,
  readF,
  say,
  spread,
  T0,
  type Said,
} from '../../test/lots'
import { wouldRefuse } from './lot'
import type { LotEvent } from './lotEvent'

const heard = (event: LotEvent, heardMs: number | null): LotEvent => ({ ...event, heardMs })
const whyOf = (events: LotEvent[], id: string, nowMs = T0 + 9 * HOUR_MS) =>
  at(events, nowMs).log.find((one) => one.event.id === id)
const HOT = say(T0 + 3 * HOUR_MS, read(30))
/** Spread, 57 °C at 15:00, and 30 °C in the very second of the limit of 21 °C. */
const BROKEN = [COLD[0]!, COLD[1]!, HOT]
const FROM_ELSEWHERE: [string, LotEvent[], LotEvent][] = [
  ['the log', BROKEN, HOT],
  ...(['cooling', 'unknownAge', 'smell', 'delivery'] as const).map((reason): [string, LotEvent[], LotEvent] => {
    const said = say(T0 + 5 * HOUR_MS, { kind: 'refused', reason })
    return [`somebody: ${reason}`, [...COLD, said], said]
  }),
  ...(['warm', 'old'] as const).map((reason): [string, LotEvent[], LotEvent] => {
    const said = say(T0 + 5 * HOUR_MS, { kind: 'discarded', massG: null, reason })
    return [`thrown away: ${reason}`, [...COLD, said], said]
  }),
]

describe('rice that was refused never comes back', () => {
  const tries: [string, (breaks: LotEvent) => LotEvent[]][] = [
    ['an undoing', (breaks) => [say(T0 + 6 * HOUR_MS, { kind: 'undone', eventId: breaks.id })]],
    ['an undoing dated back', (breaks) => [heard(say(T0, { kind: 'undone', eventId: breaks.id }), T0 + 6 * HOUR_MS)]],
    ['the lead', () => [say(T0 + 6 * HOUR_MS, { kind: 'accepted', reason: 'it was fine', staffId: 'odalys' })]],
    ['a cold reading dated back', () => [heard(say(T0 + 2.8 * HOUR_MS, read(4)), T0 + 6 * HOUR_MS)]],
    ['a use dated back', () => [heard(say(T0 + 2.6 * HOUR_MS, { kind: 'finished' }), T0 + 6 * HOUR_MS)]],
    ['a count', () => [say(T0 + 6 * HOUR_MS, { kind: 'counted', massG: 9000 })]],
  ]
  for (const [by, events, breaks] of FROM_ELSEWHERE) {
    test.each(tries)(`by ${by}: not by %s, which stands in the log as too late`, (_, rescue) => {
      const before = at(events, T0 + 9 * HOUR_MS)
      const late = rescue(breaks)
      const after = at([...events, ...late], T0 + 9 * HOUR_MS)
      expect(after).toMatchObject({ stage: before.stage, end: before.end, isUsable: false, massG: before.massG })
      expect(after.end).not.toBeNull()
      for (const event of late)
        expect(whyOf([...events, ...late], event.id)).toMatchObject({
          counts: false,
          why: expect.stringMatching(/saidTooLate|afterEnd/),
        })
    })
  }

  test('a split dated back before it takes no fit rice out of it', () => {
    const gave = heard(say(T0 + 2.6 * HOUR_MS, { kind: 'gave', toLotId: 'b', massG: 1000 }), T0 + 6 * HOUR_MS)
    expect(at([...BROKEN, gave], T0 + 9 * HOUR_MS)).toMatchObject({ stage: 'refused', massG: 4000 })
    expect(whyOf([...BROKEN, gave], gave.id)).toMatchObject({ counts: false, why: 'saidTooLate' })
  })

  test('whatever is heard after it and whatever time it bears, a refused lot stays as it is', () => {
    const anySaid: fc.Arbitrary<Said> = fc.oneof(
      fc.integer({ min: -5, max: 95 }).map((tempC) => read(tempC)),
      fc.constantFrom(HOT.id, ...COLD.map((event) => event.id)).map((eventId): Said => ({ kind: 'undone', eventId })),
      fc.constant<Said>({ kind: 'accepted', reason: 'it was fine', staffId: 'odalys' }),
      fc.constantFrom(moved('bench'), moved('fridge'), moved('freezer')),
      fc.constant<Said>({ kind: 'ruleSet', from: 'us', to: 'au' }),
      fc.constant<Said>(spread(9000)),
    )
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: -60, max: 600 }), anySaid), { maxLength: 10 }), (said) => {
        const late = said.map(([minute, one]) => heard(say(T0 + minute * MIN_MS, one), T0 + 4 * HOUR_MS))
        const state = at([...BROKEN.map((one) => heard(one, one.atMs)), ...late], T0 + 20 * HOUR_MS)
        expect(state).toMatchObject({ stage: 'refused', isUsable: false, end: { atMs: HOT.atMs, reason: 'cooling' } })
        expect(state.log).toHaveLength(3 + late.length)
      }),
      { seed: 11, numRuns: 200 },
    )
  })

  test('what waits on a device is heard last: it cannot come before what the kitchen has heard', () => {
    const undo = heard(say(T0 + HOUR_MS, { kind: 'undone', eventId: HOT.id }), null)
    expect(at([...BROKEN, undo], T0 + 9 * HOUR_MS).stage).toBe('refused')
  })

  test('a reading that would refuse is known before it is said; one that would not, is not', () => {
    const cooling = COLD.slice(0, 2)
    const limitMs = T0 + 3 * HOUR_MS
    expect(wouldRefuse(LOAD, cooling, HOUSE, say(limitMs, read(22)))).toBe(true)
    expect(wouldRefuse(LOAD, cooling, HOUSE, say(limitMs, read(21)))).toBe(false)
    expect(wouldRefuse(LOAD, cooling, HOUSE, say(limitMs - 1000, read(22)))).toBe(false)
    expect(wouldRefuse(LOAD, BROKEN, HOUSE, say(limitMs + MIN_MS, read(40)))).toBe(false)
  })

  test('part of a lot thrown away as warm stays thrown away; what was spilled may be put right', () => {
    const [warm, spilled] = (['warm', 'spilled'] as const).map((reason) =>
      say(T0 + 5 * HOUR_MS, { kind: 'discarded', massG: 1000, reason }),
    )
    const undo = (event: LotEvent) => say(T0 + 5.1 * HOUR_MS, { kind: 'undone', eventId: event.id })
    expect(at([...COLD, warm!, undo(warm!)], T0 + 6 * HOUR_MS).massG).toBe(3000)
    expect(at([...COLD, spilled!, undo(spilled!)], T0 + 6 * HOUR_MS).massG).toBe(4000)
  })

  test('rice that was given away or fried does not come back by an undoing', () => {
    const gave = say(T0 + 5 * HOUR_MS, { kind: 'gave', toLotId: 'b', massG: 1000 })
    const used = say(T0 + 5 * HOUR_MS, { kind: 'used', runId: 'r', massG: 500 })
    const undo = (event: LotEvent) => say(T0 + 5.1 * HOUR_MS, { kind: 'undone', eventId: event.id })
    expect(at([...COLD, gave, used, undo(gave), undo(used)], T0 + 6 * HOUR_MS).massG).toBe(2500)
  })

  test('rice that was out too long is not made fit by taking back the move', () => {
    const out = say(T0 + 5 * HOUR_MS, moved('bench'))
    const undo = say(T0 + 9.2 * HOUR_MS, { kind: 'undone', eventId: out.id })
    expect(at([...COLD, out, undo], T0 + 9.3 * HOUR_MS)).toMatchObject({ isUsable: false })
    const inTime = say(T0 + 5.2 * HOUR_MS, { kind: 'undone', eventId: out.id })
    expect(at([...COLD, out, inTime], T0 + 9.3 * HOUR_MS)).toMatchObject({ isUsable: true, outS: 0 })
  })

  test('a spread said by mistake is taken back at once, or its clock stays the clock of the rice', () => {
    const again = say(T0 + 4 * HOUR_MS, { ...spread(), tempC: 60 })
    const undo = (afterMin: number) => say(COLD[0]!.atMs + afterMin * MIN_MS, { kind: 'undone', eventId: COLD[0]!.id })
    expect(at([COLD[0]!, undo(5)], T0 + HOUR_MS).stage).toBe('cooking')
    expect(at([COLD[0]!, undo(200), again], T0 + 5 * HOUR_MS).spreadAtMs).toBe(COLD[0]!.atMs)
  })
})

describe('a reading that rises again', () => {
  const cooling = (...temps: [number, number][]) => [
    COLD[0]!,
    COLD[1]!,
    ...temps.map(([hours, tempC]) => say(T0 + HOUR_MS + hours * HOUR_MS, read(tempC))),
  ]
  test.each<[string, [number, number][], string]>([
    [
      'above 21 °C after its limit, once below',
      [
        [1.8, 20],
        [2.1, 25],
      ],
      'broken',
    ],
    [
      'above 21 °C before its limit, and below again in time',
      [
        [1.5, 20],
        [1.7, 25],
        [1.95, 21],
      ],
      'open',
    ],
    [
      'above 21 °C before its limit, and not seen below in time',
      [
        [1.5, 20],
        [1.7, 25],
        [2.2, 20],
      ],
      'unproven',
    ],
    [
      'above 5 °C before its limit: not met yet',
      [
        [1.8, 20],
        [4.5, 5],
        [5, 7],
      ],
      'open',
    ],
    [
      'above 5 °C before its limit, cold again in time',
      [
        [1.8, 20],
        [4.5, 5],
        [5, 7],
        [6, 5],
      ],
      'met',
    ],
    [
      'above 5 °C at its limit, once below',
      [
        [1.8, 20],
        [4.5, 5],
        [6, 5.5],
      ],
      'broken',
    ],
  ])('%s', (_, temps, verdict) => {
    const state = at(cooling(...temps), T0 + HOUR_MS + temps.at(-1)![0] * HOUR_MS)
    expect(state.verdict).toBe(verdict)
    expect(state.stage === 'refused').toBe(verdict === 'broken')
  })
})

test('struck out, never erased: an undone reading stays in the log with who and when', () => {
  const slip = { ...say(T0 + 2.4 * HOUR_MS, read(24)), staffId: 'bram' }
  const undo = { ...say(T0 + 2.45 * HOUR_MS, { kind: 'undone', eventId: slip.id }), staffId: 'wen' }
  const state = at([...COLD, slip, undo], T0 + 5 * HOUR_MS)
  expect(state.readings.map((one) => one.tempC)).not.toContain(24)
  expect(state.log.find((one) => one.event.id === slip.id)).toMatchObject({
    counts: false,
    why: 'struckOut',
    struckBy: { staffId: 'wen', atMs: undo.atMs },
  })
})

describe('only the lead accepts', () => {
  const late = [COLD[0]!, COLD[1]!, say(T0 + 4 * HOUR_MS, read(5))]
  const accept = (atMs: number, staffId: string | null) =>
    say(atMs, { kind: 'accepted', reason: 'the logger showed 20 °C', staffId })
  test.each<[string, LotEvent[], LotEvent, string | null]>([
    ['the lead, of a lot that is unproven', late, accept(T0 + 4.1 * HOUR_MS, 'odalys'), null],
    ['a cook', late, accept(T0 + 4.1 * HOUR_MS, 'bram'), 'notLead'],
    ['nobody', late, accept(T0 + 4.1 * HOUR_MS, null), 'notLead'],
    ['the lead, before it is unproven', late, accept(T0 + 2 * HOUR_MS, 'odalys'), 'notUnproven'],
    ['the lead, of a proven lot', COLD, accept(T0 + 4.1 * HOUR_MS, 'odalys'), 'notUnproven'],
  ])('%s', (_, events, accepted, why) => {
    const state = at([...events, accepted], T0 + 5 * HOUR_MS)
    expect(state.log.find((one) => one.event.id === accepted.id)).toMatchObject({ counts: why === null, why })
    if (events === late) expect(state.isUsable).toBe(why === null)
  })

  test('of one step, it is no acceptance of the next', () => {
    const first = [COLD[0]!, COLD[1]!, say(T0 + 4 * HOUR_MS, read(20)), accept(T0 + 4.1 * HOUR_MS, 'odalys')]
    expect(at(first, T0 + 5 * HOUR_MS)).toMatchObject({ judged: 'open', stage: 'chilling' })
    const second = [...first, say(T0 + 8 * HOUR_MS, read(5))]
    expect(at(second, T0 + 9 * HOUR_MS)).toMatchObject({ judged: 'unproven', isUsable: false })
    const both = [...second, accept(T0 + 8.1 * HOUR_MS, 'odalys')]
    expect(at(both, T0 + 9 * HOUR_MS).isUsable).toBe(true)
  })
})

describe('a doubtful reading that would break the lot', () => {
  const odd = say(T0 + 7.5 * HOUR_MS, read(30, 'rise'))
  test('holds it until it is confirmed or measured again; it never passes for nothing', () => {
    const held = at([...COLD, odd], T0 + 8 * HOUR_MS)
    expect(held).toMatchObject({ isUsable: false, notUsable: { kind: 'held', reading: { eventId: odd.id } } })
    const again = at([...COLD, odd, say(T0 + 7.6 * HOUR_MS, read(4))], T0 + 8 * HOUR_MS)
    expect(again.isUsable).toBe(true)
    const sure = [...COLD, odd, say(T0 + 7.6 * HOUR_MS, { kind: 'confirmed', eventId: odd.id })]
    expect(at(sure, T0 + 8 * HOUR_MS)).toMatchObject({ stage: 'refused' })
    const undo = say(T0 + 7.7 * HOUR_MS, { kind: 'undone', eventId: sure.at(-1)!.id })
    expect(at([...sure, undo], T0 + 8 * HOUR_MS).stage).toBe('refused')
  })
  test('one that would change nothing holds nothing', () => {
    const low = say(T0 + 7.5 * HOUR_MS, read(-3, 'drop'))
    expect(at([...COLD, low], T0 + 8 * HOUR_MS).isUsable).toBe(true)
  })
})

describe('limits in the unit they are read in', () => {
  const US = (...temps: [number, number][]) => [
    say(T0, { ...spread(), tempC: 57.2, tempF: 135 }),
    ...temps.map(([hours, tempF]) => say(T0 + hours * HOUR_MS, readF(tempF))),
  ]
  test('135, 70 and 41 °F are the limits of a US kitchen that reads °F, to the second', () => {
    expect(at(US([2, 70], [6, 41]), T0 + 6 * HOUR_MS)).toMatchObject({ verdict: 'met', isUsable: true })
    expect(at(US([2, 71]), T0 + 2 * HOUR_MS).verdict).toBe('broken')
    expect(at(US([2, 70], [6, 42]), T0 + 6 * HOUR_MS).verdict).toBe('broken')
  })
  test('the same figures in °C are above 21 and in time for 5 °C', () => {
    const celsius = [say(T0, { ...spread(), tempC: 57 }), say(T0 + 2 * HOUR_MS, read(21.1))]
    expect(at(celsius, T0 + 2 * HOUR_MS).verdict).toBe('broken')
  })
  test('60 → 21 → 5 °C at exactly 2 h and 6 h keeps the Australian rule; the second step runs from where the first was reached', () => {
    const born = { ...LOAD, ruleSet: 'au' as const }
    const au = (first: number, second: number) => [
      say(T0, { ...spread(), tempC: 60 }),
      say(T0 + first * HOUR_MS, read(21)),
      say(T0 + second * HOUR_MS, read(5)),
    ]
    expect(at(au(2, 6), T0 + 6 * HOUR_MS, born)).toMatchObject({ verdict: 'met', isUsable: true })
    expect(at(au(1, 5), T0 + 6 * HOUR_MS, born).verdict).toBe('met')
    expect(at(au(1, 5.1), T0 + 6 * HOUR_MS, born).verdict).toBe('unproven')
  })
})

test('a lot that came cold and was never read since is as cold as it came', () => {
  expect(at([], T0 + HOUR_MS, COLD_LOT)).toMatchObject({ stage: 'ready', isUsable: true, outS: 0 })
})
