import { STAVE_KINDS, type Stave, type StaveKind } from 'core/mise/ready/readiness'
import fc from 'fast-check'
import { tubLayout } from './tubLayout'

const FRAME = { fromMs: 1000, toMs: 5000, widthPx: 360, topPx: 20, bottomPx: 220, most: 8 }
const stave = (id: string, kind: StaveKind, part: Partial<Stave> = {}): Stave => ({
  id,
  kind,
  name: id,
  dishIds: [],
  nowMs: null,
  nowPortions: 10,
  untilMs: null,
  portions: 10,
  state: 'ready',
  shortPortions: 0,
  missingG: 0,
  fix: null,
  ...part,
})

test('height is how far it reaches: to the top for what lasts, to the bottom for what fails at once', () => {
  const { staves } = tubLayout(
    [
      stave('lasts', 'mise'),
      stave('half', 'mise', { state: 'short', nowMs: 3000, untilMs: 4000 }),
      stave('none', 'mise', { state: 'short', nowMs: 1000, untilMs: 900 }),
      stave('beyond', 'mise', { state: 'short', nowMs: 9000, untilMs: 9000 }),
    ],
    FRAME,
  )
  const heights = Object.fromEntries(staves.map(({ stave: one, nowY, untilY }) => [one.id, [nowY, untilY]]))
  expect(heights).toEqual({ lasts: [20, 20], half: [120, 70], none: [220, 220], beyond: [20, 20] })
})

test('house rules are no stave: they are said beside the tub', () => {
  expect(tubLayout([stave('check', 'rules')], FRAME)).toEqual({ staves: [], groups: [] })
})

test('where there are too many, what is open is always drawn', () => {
  const many = Array.from({ length: 30 }, (_, i) => stave(`ready-${i}`, 'mise'))
  const open = [stave('short', 'mise', { state: 'short' }), stave('coming', 'mise', { state: 'coming' })]
  const drawn = tubLayout([...many, ...open], FRAME).staves.map((one) => one.stave.id)
  expect(drawn).toHaveLength(FRAME.most)
  expect(drawn).toEqual(expect.arrayContaining(['short', 'coming']))
})

const anyStave = fc
  .record({
    kind: fc.constantFrom(...STAVE_KINDS),
    state: fc.constantFrom('ready' as const, 'coming' as const, 'short' as const),
    nowMs: fc.option(fc.integer({ min: 0, max: 9000 })),
  })
  .map((part) => stave('s', part.kind, { ...part, untilMs: part.nowMs }))

test('law: kinds stand from left to right in their order, staves side by side within the frame', () => {
  fc.assert(
    fc.property(fc.array(anyStave, { maxLength: 40 }), (list) => {
      const { staves, groups } = tubLayout(list, FRAME)
      const order = groups.map((one) => STAVE_KINDS.indexOf(one.kind))
      expect(order).toEqual([...order].sort((a, b) => a - b))
      staves.slice(1).forEach((one, i) => expect(one.x).toBeGreaterThanOrEqual(staves[i]!.x + staves[i]!.width))
      for (const { x, width, nowY } of staves) {
        expect(width).toBeGreaterThan(0)
        expect(x + width).toBeLessThanOrEqual(FRAME.widthPx + 1e-6)
        expect(nowY).toBeGreaterThanOrEqual(FRAME.topPx)
        expect(nowY).toBeLessThanOrEqual(FRAME.bottomPx)
      }
      for (const kind of new Set(list.map((one) => one.kind).filter((one) => one !== 'rules')))
        expect(groups.some((one) => one.kind === kind)).toBe(true)
    }),
  )
})
