import { RULE_SETS } from '../../safety/limits'
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
  say,
  spread,
  T0,
  type Said,
} from '../../test/lots'
import { MAX_DEPTH_M, MIN_DEPTH_M } from '../cooling/coolTray'
import { lotFault } from './lotFault'
import type { LotState } from './lotState'

const LATER = T0 + 5 * HOUR_MS
const HOT = at([COLD[0]!], T0 + HOUR_MS)
const READY = at(COLD, LATER)
const BOUGHT = at([], LATER, COLD_LOT)
const OUT = at([...COLD, say(LATER, moved('bench'))], LATER + HOUR_MS)
const FROZEN = at([...COLD, say(LATER, moved('freezer'))], LATER + HOUR_MS)
const THAWED = at(
  [...COLD, say(LATER, moved('freezer')), say(LATER + HOUR_MS, moved('fridge')), say(LATER + 9 * HOUR_MS, read(3))],
  LATER + 10 * HOUR_MS,
)
const OVER = at([...COLD, say(LATER, { kind: 'finished' })], LATER + HOUR_MS)
const UNPROVEN = at([COLD[0]!, COLD[1]!, say(T0 + 7.5 * HOUR_MS, read(4))], T0 + 8 * HOUR_MS)

const gave = (massG: number): Said => ({ kind: 'gave', toLotId: 'b', massG })
const discarded = (massG: number | null): Said => ({ kind: 'discarded', massG, reason: 'quality' })
const accepted = (staffId: string | null): Said => ({ kind: 'accepted', reason: 'its probe was flat', staffId })
const deep = (depthM: number): Said => ({ ...spread(), depthM })
const fault = (state: LotState, said: Said, atMs = LATER + HOUR_MS, ruleSet: (typeof RULE_SETS)[number] = 'us') =>
  lotFault(state, say(atMs, said), ruleSet, HOUSE.leadIds)?.code ?? null

test('the lots of these tests stand where they are said to stand', () => {
  expect([HOT, READY, BOUGHT, OUT, FROZEN, OVER].map((state) => state.stage)).toEqual([
    'cooling',
    'ready',
    'ready',
    'tempering',
    'frozen',
    'used',
  ])
  expect(UNPROVEN.judged).toBe('unproven')
  expect(THAWED.freezes).toBe(1)
})

test.each<[string, LotState, Said, string | null]>([
  ['as much as there is given to another lot', READY, gave(READY.massG), null],
  ['a gram more, as a scale may err', READY, gave(READY.massG + 0.9), null],
  ['more than there is', READY, gave(READY.massG + 50), 'lot-short'],
  ['hot rice to another lot', HOT, gave(500), 'lot-not-cold'],
  ['frozen rice to another lot', FROZEN, gave(500), null],
  ['more thrown away than there is', READY, discarded(READY.massG + 50), 'lot-short'],
  ['all of it thrown away', HOT, discarded(null), null],
  ['hot rice thrown away by mass', HOT, discarded(100), null],
  ['spread as thin as a tray allows', HOT, deep(MIN_DEPTH_M), null],
  ['spread as deep as a tray allows', HOT, deep(MAX_DEPTH_M), null],
  ['spread deeper than a tray', HOT, deep(MAX_DEPTH_M + 0.001), 'lot-depth'],
  ['spread thinner than a grain', HOT, deep(MIN_DEPTH_M - 0.001), 'lot-depth'],
  ['moved and spread too deep', HOT, { ...moved('fridge'), depthM: 0.5 } as Said, 'lot-depth'],
  ['hot rice to the bench', HOT, moved('bench'), 'lot-not-cold'],
  ['hot rice to the freezer', HOT, moved('freezer'), 'lot-not-cold'],
  ['hot rice to the blast chiller', HOT, moved('blast'), null],
  ['cold rice to the bench', READY, moved('bench'), null],
  ['cold rice to the freezer', READY, moved('freezer'), null],
  ['bought rice to the bench', BOUGHT, moved('bench'), null],
  ['frozen once, and again', THAWED, moved('freezer'), 'lot-frozen-once'],
  ['frozen rice to the fridge', FROZEN, moved('fridge'), null],
  ['out for an hour and back without a reading', OUT, moved('fridge'), 'lot-not-back'],
  ['from bench to bench', OUT, moved('rack'), null],
  ['accepted by a lead', UNPROVEN, accepted('odalys'), null],
  ['accepted by a cook', UNPROVEN, accepted('tam'), 'lot-lead'],
  ['accepted by nobody', UNPROVEN, accepted(null), 'lot-lead'],
  ['accepted where nothing is unproven', READY, accepted('odalys'), 'lot-proven'],
  [
    'a run that took more than there is: the rice is in the wok',
    READY,
    { kind: 'used', runId: 'r', massG: 99_999 },
    null,
  ],
  ['anything of a lot that is over: kept, and it changes nothing', OVER, gave(99_999), null],
])('%s', (_what, state, said, code) => expect(fault(state, said)).toBe(code))

describe('back into the cold', () => {
  const outFor = (minutes: number, readings: [number, number][] = []) =>
    at(
      [...COLD, say(LATER, moved('bench')), ...readings.map(([min, tempC]) => say(LATER + min * MIN_MS, read(tempC)))],
      LATER + minutes * MIN_MS,
    )
  const back = (minutes: number, readings: [number, number][], ruleSet: (typeof RULE_SETS)[number]) =>
    fault(outFor(minutes, readings), moved('fridge'), LATER + minutes * MIN_MS, ruleSet)

  test('with a cold reading taken now, in every rule set', () => {
    for (const ruleSet of RULE_SETS) {
      expect(back(200, [[197, 4]], ruleSet)).toBeNull()
      expect(back(200, [[190, 4]], ruleSet)).toBe('lot-not-back')
      expect(back(200, [[197, 9]], ruleSet)).toBe('lot-not-back')
    }
  })

  test('without one only where the rule set gives a time, and within it', () => {
    expect(back(119, [], 'au')).toBeNull()
    expect(back(121, [], 'au')).toBe('lot-not-back')
    expect(back(5, [], 'us')).toBe('lot-not-back')
    expect(back(5, [], 'uk')).toBe('lot-not-back')
  })
})

test('a refusal says how much there is, how cold it must be, how deep it may lie', () => {
  const values = (state: LotState, said: Said) => lotFault(state, say(LATER, said), 'us', [])?.values
  expect(values(READY, gave(9000))).toEqual({ askedG: 9000, leftG: READY.massG })
  expect(values(HOT, deep(0.3))).toEqual({ depthCm: 30, leastCm: MIN_DEPTH_M * 100, mostCm: MAX_DEPTH_M * 100 })
  expect(values(OUT, moved('fridge'))).toEqual({ coldC: 5, outMin: 60 })
})

test('a load still on the heat takes no move to the bench', () => {
  expect(fault(at([], T0 + MIN_MS, LOAD), moved('bench'), T0 + MIN_MS)).toBe('lot-not-cold')
})
