import { DISH, RING_HEAT, scoreOnRing, TOOLS, US } from '../../core/src/test/kitchen'
import { retimeRun, type OrderedRun } from '../../core/src/line/retimeRun'
import { whatIfMap, whatIfQuick, whatIfScore, type Wondered } from '../../core/src/line/whatIf'
import { featuresOf } from '../../core/src/record/faults/features'
import { rankCauses } from '../../core/src/record/faults/rank'
import { runState } from '../../core/src/wok/run'
import type { RunEvent } from '../../core/src/wok/runEvent'
import { learn } from '../../core/src/wok/learn/learn'
import type { Lesson } from '../../core/src/wok/learn/lesson'
import type { Choice } from '../../core/src/wok/sequence/vocabulary'
import { lcg } from '../../server/src/demo/chance'
import { medianMs } from './medianMs'
import { report } from './report'

const LESSONS = 5000
const GOOD_RUNS = 30

/** What follows a cook: the rest after a tap, what if, learning, and what may have been behind a complaint. */
export function liveModels(): void {
  const score = scoreOnRing(2)
  const run: OrderedRun = {
    id: 'run',
    firedAtMs: 0,
    score,
    handsFree: false,
    dishVersion: 1,
    modifiers: [],
    allergies: [],
    parts: [{ portions: 2, modifiers: [] }],
  }
  let atS = 0
  const events = score.steps.slice(0, 8).map((step, i): RunEvent => {
    atS += step.durationS + 6
    const stamp = { id: `e-${i}`, runId: 'run', deviceId: 'bench', atMs: atS * 1000, counter: 0 }
    return step.check
      ? { ...stamp, kind: 'checked', stepId: step.id, ok: true, tempC: 80, tempF: null }
      : { ...stamp, kind: 'done', stepId: step.id }
  })
  const nowMs = atS * 1000
  const ms = (what: string, aim: string, work: () => unknown) =>
    report(what, `${medianMs(work).toFixed(2)} ms median`, aim)
  ms('a tap folded into a run', '<= 16 ms with drawing', () => runState(run, events, nowMs))
  ms('the rest of a run worked out again', '<= 150 ms', () =>
    retimeRun(DISH, run, events, RING_HEAT.station, US, nowMs),
  )
  const station = { kind: 'wok' as const, powerW: 24_000 }
  const wondered: Wondered = {
    portions: 2,
    powerW: 15_000,
    riceTempC: 4,
    riceLumpMm: 0,
    riceWaterFraction: 0.62,
    sauceFactor: 1,
    cutFactor: 1,
    egg: null,
  }
  const choice = score.basis!.choice as unknown as Choice
  const grid = (most: number, n: number) => Array.from({ length: n }, (_, i) => ((i + 1) * most) / n)
  ms('what if, the first answer', '<= 50 ms', () => whatIfQuick(DISH, station, wondered, choice, US))
  ms('what if, in full with its curves', '<= 150 ms', () => whatIfScore(DISH, station, wondered, TOOLS, US))
  ms('what if, a map of 18 batches and 10 flames', '', () =>
    whatIfMap(DISH, station, wondered, choice, US, grid(1800, 18), grid(36_000, 10)),
  )
  ms('what if, a row of the map, between which the finger is answered', '<= 100 ms', () =>
    whatIfMap(DISH, station, wondered, choice, US, grid(1800, 18), [12_000]),
  )
  const random = lcg(5)
  const lessons = Array.from({ length: LESSONS }, (_, atMs): Lesson => ({
    stationId: `s${Math.floor(random() * 4)}`,
    dishId: `d${Math.floor(random() * 60)}`,
    atMs,
    plannedS: 240,
    actualS: 220 + 60 * random(),
    factor: 1,
  }))
  ms('learning from 5,000 runs', '<= 200 ms', () => learn(lessons))
  const good = Array.from({ length: GOOD_RUNS }, () => ({ ...run, events }))
  ms('the causes of a complaint, against 30 runs', '<= 100 ms', () =>
    rankCauses('mushy', [
      {
        runId: run.id,
        run: featuresOf(run, events, nowMs),
        good: good.map((one) => featuresOf(one, one.events, nowMs)),
      },
    ]),
  )
}
