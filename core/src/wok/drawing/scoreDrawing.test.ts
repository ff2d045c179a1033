import fc from 'fast-check'
import type { Score, Step } from '../score'
import { plannedSpans, scoreDrawing } from './scoreDrawing'
import { evenSeconds, RIBBON_SHARE, scoreShapes } from './scoreShapes'

const entry = (componentId: string, motion: 'in' | 'out' | 'back') => ({
  componentId,
  name: componentId,
  role: 'vegetable' as const,
  massG: 10,
  measure: { tool: 'scale' as const, name: '', count: 10, massG: 10, errorFraction: 0 },
  motion,
})
const steps: Step[] = (
  [
    ['eggIn', 0, 25, 'high', [entry('egg', 'in')]],
    ['eggOut', 25, 5, 'high', [entry('egg', 'out')]],
    ['riceIn', 30, 90, 'full', [entry('rice', 'in')]],
    ['bringBack', 120, 10, 'high', [entry('egg', 'back')]],
    ['finishOff', 130, 10, 'off', [entry('scallion', 'in'), entry('sesame', 'in')]],
  ] as const
).map(([action, startS, durationS, heat, entries]) => ({
  id: action,
  action,
  startS,
  durationS,
  heat,
  entries,
  cue: 'plated',
  reason: 'handOver',
  cautions: [],
  check: null,
  figure: 'house',
}))
const score: Score = { engine: 'rules-1', steps, totalS: 140, riceMassG: 220, batchMassG: 260 }

describe('drawing', () => {
  const drawing = scoreDrawing(score, plannedSpans(score))

  test('on warm metal the first step is shorter by what that saves, and every other as long as before', () => {
    const warm = plannedSpans(score, 15)
    expect(warm.at(-1)!.endS).toBe(score.totalS - 15)
    expect(warm.map(({ startS, endS }) => endS - startS)).toEqual([10, 5, 90, 10, 10])
  })

  test('steps of one heat are one ribbon; what leaves and returns is a thread', () => {
    expect(drawing.segments).toEqual([
      { startS: 0, endS: 30, heat: 'high' },
      { startS: 30, endS: 120, heat: 'full' },
      { startS: 120, endS: 130, heat: 'high' },
      { startS: 130, endS: 140, heat: 'off' },
    ])
    expect(drawing.threads).toEqual([{ label: 'egg', outS: 25, backS: 120 }])
    expect(drawing.cuts.map((cut) => cut.label)).toEqual(['egg', 'rice', 'egg', 'scallion +1'])
  })

  test('what is fried on another surface stands beside until it joins on the plate', () => {
    const egg = { ...steps[0]!, id: 'top', startS: 100, durationS: 0, surface: 'beside' as const }
    const plate = { ...steps[4]!, id: 'plate', startS: 140, durationS: 5, entries: [entry('egg', 'back')] }
    const own = steps.filter(({ entries }) => entries.every(({ componentId }) => componentId !== 'egg'))
    const withEgg = { ...score, steps: [...own, egg, plate].sort((a, b) => a.startS - b.startS), totalS: 145 }
    const drawn = scoreDrawing(withEgg, plannedSpans(withEgg))
    expect([drawn.beside, drawn.threads]).toEqual([[{ label: 'egg', startS: 100, endS: 140 }], []])
    expect(scoreShapes(drawn, { channelPx: 100, yOf: evenSeconds(2) }).beside).toMatchObject([{ y: 200, height: 80 }])
  })

  test('a run that took longer is drawn at its true seconds', () => {
    const late = plannedSpans(score).map((span) => ({ ...span, startS: span.startS + 7, endS: span.endS + 7 }))
    expect(scoreDrawing(score, late).cuts[1]).toMatchObject({ atS: 37, isStrong: true })
  })
})

describe('shapes', () => {
  const geometry = { channelPx: 100, yOf: evenSeconds(2) }
  const shapes = scoreShapes(scoreDrawing(score, plannedSpans(score)), geometry)

  test('as wide as the heat is high, in the middle of the channel, seconds to pixels', () => {
    expect(shapes.ribbons.map((ribbon) => [ribbon.y, ribbon.height])).toEqual([
      [0, 60],
      [60, 180],
      [240, 20],
      [260, 20],
    ])
    for (const ribbon of shapes.ribbons) {
      expect(ribbon.width).toBeCloseTo(100 * RIBBON_SHARE[ribbon.heat])
      expect(ribbon.x + ribbon.width / 2).toBeCloseTo(50)
    }
    const widths = (['off', 'low', 'medium', 'high', 'full'] as const).map((heat) => RIBBON_SHARE[heat])
    expect(widths).toEqual([...widths].sort((a, b) => a - b))
  })

  test('labels never overlap, and rice is always named', () => {
    const anyScore = fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 1, maxLength: 20 }).map((durations) => {
      let startS = 0
      return durations.map((durationS, n): Step => {
        const step = { ...steps[n % steps.length]!, id: `s-${n}`, startS, durationS }
        startS += durationS
        return step
      })
    })
    fc.assert(
      fc.property(anyScore, (list) => {
        const drawn = scoreShapes(
          scoreDrawing({ ...score, steps: list }, plannedSpans({ ...score, steps: list })),
          geometry,
        )
        drawn.labels.slice(1).forEach((label, n) => expect(label.y - drawn.labels[n]!.y).toBeGreaterThanOrEqual(15))
        expect(drawn.heightPx).toBe(list.reduce((sum, step) => sum + step.durationS, 0) * 2)
      }),
    )
    expect(shapes.labels.find((label) => label.text === 'rice')?.isStrong).toBe(true)
  })
})
