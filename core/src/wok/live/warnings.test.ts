import { scoreOnRing } from '../../test/kitchen'
import type { Step } from '../score'
import type { WokComponent } from '../sequence/component'
import type { LiveBatch, Mark, PlannedMarks } from './liveCooking'
import { warningsOf } from './warnings'

const part = (id: string, place: WokComponent['place'], checked: WokComponent['checked'] = null) =>
  ({ id, of: id, place, checked }) as WokComponent
const batch = {
  components: [part('rice', 'rice', 'rice'), part('garlic', 'quick'), part('pork', 'raw', 'meat')],
} as unknown as LiveBatch
const some = scoreOnRing(2).steps[0]!
const step = (action: Step['action'], more: Partial<Step> = {}): Step => ({
  ...some,
  id: action,
  action,
  check: null,
  ...more,
})
const RICE = { id: 'rice', coreC: 80, fryingS: 40, freeFraction: 0.004, crust: 0 }
const mark = (more: Partial<Mark> = {}): Mark => ({
  progress: new Map(),
  burn: new Map(),
  rice: null,
  metalC: 240,
  ...more,
})
const planned = (...marks: [Step, Mark][]): PlannedMarks =>
  new Map(marks.map(([{ id }, after]) => [id, { before: mark(), after, durationS: 30, slackS: 0 }]))

/** Each step with what its food came to, and what the score meant it to come to. */
function warned(steps: readonly { step: Step; is: Mark; meant: Mark }[], fromS = 0) {
  const marks = steps.map(({ step: one, is }, i) => ({ step: one, atS: 30 * (i + 1), mark: is }))
  return warningsOf(batch, marks, fromS, planned(...steps.map(({ step: one, meant }): [Step, Mark] => [one, meant])))
}

test('a run that comes out as its score meant it is warned of in nothing', () => {
  const rice = mark({ rice: RICE })
  expect(
    warned([
      { step: step('riceIn'), is: rice, meant: rice },
      { step: step('sauceIn'), is: rice, meant: rice },
    ]),
  ).toEqual([])
})

test('what comes to nine tenths of its burn limit is said, unless the score meant it to', () => {
  const burnt = mark({ burn: new Map([['garlic', 0.95]]) })
  const fine = mark({ burn: new Map([['garlic', 0.5]]) })
  expect(warned([{ step: step('baseIn'), is: burnt, meant: fine }])).toEqual([
    { code: 'burns', componentId: 'garlic', atS: 30 },
  ])
  expect(warned([{ step: step('baseIn'), is: burnt, meant: burnt }])).toEqual([])
})

test('raw food that would come to its check too early is named at its check', () => {
  const check = { food: 'meat', limit: { coreC: 63, holdS: 0, source: 'a test' } } as Step['check']
  const short = mark({ progress: new Map([['pork', 0.9]]) })
  const done = mark({ progress: new Map([['pork', 1]]) })
  const proteinOut = step('proteinOut', { check })
  expect(warned([{ step: proteinOut, is: short, meant: done }])).toEqual([
    { code: 'rawShort', componentId: 'pork', atS: 30 },
  ])
  expect(warned([{ step: proteinOut, is: done, meant: done }])).toEqual([])
})

test('rice that is covered before it has fried has steamed; wet rice gets its sauce too early', () => {
  const fried = mark({ rice: RICE })
  const steamed = mark({ rice: { ...RICE, fryingS: 2 } })
  expect(warned([{ step: step('riceIn'), is: steamed, meant: fried }])).toEqual([
    { code: 'steams', componentId: 'rice', atS: 30 },
  ])
  const wet = mark({ rice: { ...RICE, freeFraction: 0.03 } })
  const codes = warned([
    { step: step('riceIn'), is: wet, meant: fried },
    { step: step('sauceIn'), is: wet, meant: fried },
  ]).map(({ code, atS }) => [code, atS])
  expect(codes).toEqual([
    ['sauceEarly', 30],
    ['riceWet', 60],
  ])
})

test('rice that would be handed over colder than it was meant is said', () => {
  const hot = mark({ rice: RICE })
  const colder = mark({ rice: { ...RICE, coreC: 76 } })
  expect(warned([{ step: step('hotCheck'), is: colder, meant: hot }])).toEqual([
    { code: 'riceCold', componentId: 'rice', atS: 30 },
  ])
  expect(warned([{ step: step('hotCheck'), is: mark({ rice: { ...RICE, coreC: 79 } }), meant: hot }])).toEqual([])
})

test('what is over is not warned of; soonest stands first, each once', () => {
  const burnt = mark({ burn: new Map([['garlic', 0.95]]), rice: { ...RICE, coreC: 70 } })
  const fine = mark({ burn: new Map([['garlic', 0.2]]), rice: RICE })
  const steps = ['baseIn', 'riceIn', 'hotCheck'].map((action) => ({
    step: step(action as Step['action']),
    is: burnt,
    meant: fine,
  }))
  const all = warned(steps)
  expect(all.map(({ code }) => code)).toEqual(['burns', 'riceCold'])
  expect(all.map(({ atS }) => atS)).toEqual([...all.map(({ atS }) => atS)].sort((a, b) => a - b))
  expect(warned(steps, 95)).toEqual([])
})
