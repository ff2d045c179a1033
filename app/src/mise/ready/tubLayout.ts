import { STAVE_KINDS, type Stave, type StaveKind } from 'core/mise/ready/readiness'

type TubStave = { stave: Stave; x: number; width: number; nowY: number; untilY: number }
type TubGroup = { kind: StaveKind; x: number; width: number }

const GROUP_GAP = 8
const STAVE_GAP = 1.5
/** Room for the name of a kind under its staves. */
const MIN_GROUP_PX = 38

/**
 * Staves of a tub from left to right by kind: height is how far each reaches between the first boat at the bottom and the
 * last at the top. Where there are too many to draw, those that reach to the end stand in for each other.
 */
export function tubLayout(
  staves: readonly Stave[],
  {
    fromMs,
    toMs,
    widthPx,
    topPx,
    bottomPx,
    most,
  }: { fromMs: number; toMs: number; widthPx: number; topPx: number; bottomPx: number; most: number },
): { staves: TubStave[]; groups: TubGroup[] } {
  const drawn = STAVE_KINDS.filter((kind) => kind !== 'rules').map((kind) => ({
    kind,
    own: chosen(
      staves.filter((one) => one.kind === kind),
      most,
    ),
  }))
  const groups = drawn.filter(({ own }) => own.length > 0)
  const count = groups.reduce((sum, { own }) => sum + own.length, 0)
  const roomPx = widthPx - GROUP_GAP * (groups.length - 1) - MIN_GROUP_PX * groups.length
  const y = (ms: number | null) =>
    ms === null ? topPx : bottomPx - (bottomPx - topPx) * Math.min(1, Math.max(0, (ms - fromMs) / (toMs - fromMs)))
  let x = 0
  const placed: TubStave[] = []
  const spans: TubGroup[] = []
  for (const { kind, own } of groups) {
    const startX = x
    const stavePx = (MIN_GROUP_PX + (roomPx * own.length) / Math.max(1, count)) / own.length
    for (const stave of own) {
      placed.push({ stave, x, width: stavePx - STAVE_GAP, nowY: y(stave.nowMs), untilY: y(stave.untilMs) })
      x += stavePx
    }
    spans.push({ kind, x: startX, width: x - startX - STAVE_GAP })
    x += GROUP_GAP
  }
  return { staves: placed, groups: spans }
}

/** All that are open, and as many of the others as there is room for. */
function chosen(staves: readonly Stave[], most: number): Stave[] {
  const open = [
    ...staves.filter((stave) => stave.state === 'short'),
    ...staves.filter((stave) => stave.state === 'coming'),
  ]
  const whole = staves.filter((stave) => stave.state === 'ready')
  const shown = new Set([...open.slice(0, most), ...whole.slice(0, Math.max(1, most - open.length))])
  return staves.filter((stave) => shown.has(stave))
}
