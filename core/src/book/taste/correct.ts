import { boundedLeastSquares } from '../../math/boundedLeastSquares'
import type { Band } from '../balance/style'

/** What a cook may taste. */
export const VERDICTS = ['bland', 'salty', 'flat', 'sweet', 'sharp', 'greasy', 'dry', 'wet'] as const
export type Verdict = (typeof VERDICTS)[number]
/** How strongly it is tasted. */
export const STRENGTHS = ['weak', 'strong'] as const
export type Strength = (typeof STRENGTHS)[number]

/** Something at hand by the wok, per gram of it. */
export type AtHand = {
  id: string
  name: string
  saltFraction: number
  sugarFraction: number
  fatFraction: number
  freeLiquidFraction: number
  /** By the gram, where lime juice brings 5. */
  acid: number
  /** 1 for glutamate and bouillon, 0 for others. */
  umami: number
  isRice: boolean
  /** More than this share of the batch, and it tastes of nothing else. */
  mostFraction: number
}

/** What is in the wok, what is tasted, and what is at hand to add. */
export type TasteInput = {
  massG: number
  /** Rice in the batch [g]; common practice where it is not known: six tenths of it. */
  riceMassG?: number
  saltFraction: number
  sugarFraction: number
  freeLiquidFraction: number
  fatFraction?: number
  acidFraction?: number
  verdict: Verdict
  strength: Strength
  atHand: readonly AtHand[]
  bands: { saltFraction: Band; sugarFraction: Band; freeLiquidFraction: Band }
  /** What the wok still tosses [g]; nothing is added beyond it. */
  mostMassG?: number
}

/** Something to add [g]. */
export type Addition = { id: string; name: string; massG: number }
/** The wok after an addition: mass [g] and fractions. */
export type Tasted = { massG: number; saltFraction: number; sugarFraction: number; freeLiquidFraction: number }
/** An addition that was looked at and why it is not proposed. */
export type Rejected = { addition: Addition; why: 'wets' | 'overfills' | 'salts' | 'sweetens' }
/** What to add, or that nothing at hand would help. */
export type Correction =
  | { kind: 'add'; additions: Addition[]; after: Tasted; rejected: Rejected[] }
  | {
      kind: 'nothing-helps'
      why: 'nothing-at-hand' | 'band' | 'wok-full' | 'longer-on-the-flame' | Rejected['why']
      after: Tasted
    }

type Axis = 'saltFraction' | 'sugarFraction' | 'fatFraction' | 'freeLiquidFraction' | 'acid' | 'umami'

const RICE_SHARE = 0.6
const USUAL_FAT = 0.06
/** What a verdict moves, weak and strong, in fractions of the batch; the house's steps, common practice. */
const STEP: Readonly<Record<Verdict, Partial<Record<Axis, readonly [number, number]>>>> = {
  bland: { saltFraction: [0.0015, 0.003] },
  salty: { saltFraction: [-0.001, -0.002] },
  flat: { umami: [0.0008, 0.0015], acid: [0.02, 0.04] },
  sweet: { sugarFraction: [-0.002, -0.004], acid: [0.02, 0.04] },
  sharp: { acid: [-0.02, -0.04], sugarFraction: [0.003, 0.006] },
  greasy: { fatFraction: [-0.006, -0.012], acid: [0.01, 0.02] },
  dry: { freeLiquidFraction: [0.012, 0.025] },
  wet: { freeLiquidFraction: [-0.008, -0.016] },
}
/** A difference in each that a tongue just notices: what a row weighs. House judgement. */
const NOTICED: Readonly<Record<Axis, number>> = {
  saltFraction: 0.0004,
  sugarFraction: 0.0015,
  fatFraction: 0.003,
  freeLiquidFraction: 0.004,
  acid: 0.01,
  umami: 0.0004,
}
const AXES = Object.keys(NOTICED) as Axis[]
const MAX_ITEMS = 3
const MAX_SHARE = 0.35
const SMALLNESS = 0.02
const COST_PER_ITEM = 0.3
const MENDED = 0.5
const MIN_G = 0.05

/**
 * The smallest additions that answer a verdict: at most three of what is at hand, each ≥ 0, the liquid under its cap and
 * the batch within what the wok tosses; every other taste stays where it is as well as it can. Too much of something is
 * mended by dilution. Fractions are of the mass, free liquid of the rice. What would have answered but for its water, its
 * salt or its bulk is named with the reason.
 */
export function correctTaste(input: TasteInput): Correction {
  const now: Tasted = {
    massG: input.massG,
    saltFraction: input.saltFraction,
    sugarFraction: input.sugarFraction,
    freeLiquidFraction: input.freeLiquidFraction,
  }
  if (input.atHand.length === 0) return { kind: 'nothing-helps', why: 'nothing-at-hand', after: now }
  const isAtBand =
    (input.verdict === 'bland' && input.saltFraction >= input.bands.saltFraction.most) ||
    (input.verdict === 'dry' && input.freeLiquidFraction >= input.bands.freeLiquidFraction.most)
  if (isAtBand) return { kind: 'nothing-helps', why: 'band', after: now }
  const roomG = (input.mostMassG ?? Infinity) - input.massG
  if (roomG <= 0) return { kind: 'nothing-helps', why: 'wok-full', after: now }
  const atHand = input.verdict === 'dry' ? input.atHand.filter(moistens) : input.atHand
  if (atHand.length === 0) return { kind: 'nothing-helps', why: 'nothing-at-hand', after: now }
  const tries = itemSets(atHand).map((items) => attempt(input, items, roomG))
  const fit = tries.filter((one) => one.faults.length === 0 && one.additions.length > 0 && one.left <= MENDED)
  const best = fit.sort((a, b) => a.cost - b.cost)[0]
  if (best)
    return { kind: 'add', additions: best.additions, after: best.after, rejected: rejectedOf(tries, best, input.massG) }
  const stopped = tries.filter((one) => one.left <= MENDED).sort((a, b) => a.cost - b.cost)[0]?.faults[0]
  const why =
    input.verdict === 'wet' ? 'longer-on-the-flame' : roomG < input.massG * 0.05 ? 'wok-full' : (stopped ?? 'band')
  return { kind: 'nothing-helps', why, after: now }
}

/** Dry rice wants water, stock or oil: acid wets it too, and tastes of something else. */
const MAX_ACID_TO_MOISTEN = 0.2
const moistens = ({ acid }: AtHand) => acid <= MAX_ACID_TO_MOISTEN

/** More of one thing than this share of the batch nobody would think of: it is not named as rejected. */
const MAX_REJECTED_SHARE = 0.05

type Attempt = {
  additions: Addition[]
  after: Tasted
  /** What of the verdict stays unanswered, 0–1. */
  left: number
  cost: number
  faults: Rejected['why'][]
}

function attempt(input: TasteInput, items: readonly AtHand[], roomG: number): Attempt {
  const state = stateOf(input)
  const wanted = targetOf(input, state)
  const rows: number[][] = []
  const target: number[] = []
  for (const axis of AXES) {
    const isAsked = STEP[input.verdict][axis] !== undefined
    const base = axis === 'freeLiquidFraction' ? state.riceMassG : input.massG
    const isSlack = !isAsked && (axis === 'freeLiquidFraction' || axis === 'umami' || axis === 'acid')
    const weight = (isAsked ? 1 : isSlack ? 0 : 0.15) / NOTICED[axis]
    if (weight === 0) continue
    rows.push(items.map((item) => (weight * (item[axis] - wanted[axis] * diluting(axis, item))) / base))
    target.push(weight * (wanted[axis] - state[axis]))
  }
  items.forEach((_, k) => {
    rows.push(items.map((__, m) => (m === k ? 1 / (SMALLNESS * input.massG) / 20 : 0)))
    target.push(0)
  })
  const upper = items.map(({ mostFraction }) =>
    Math.min(roomG / items.length, input.massG * Math.min(MAX_SHARE, mostFraction)),
  )
  const { x } = boundedLeastSquares({ rows, target, lower: items.map(() => 0), upper })
  const additions = items.flatMap((item, i) =>
    x[i]! >= MIN_G ? [{ id: item.id, name: item.name, massG: roundG(x[i]!) }] : [],
  )
  const added = items.flatMap((item, i) => (x[i]! >= MIN_G ? [{ item, massG: roundG(x[i]!) }] : []))
  const after = tastedAfter(input, state, added)
  const left = unanswered(input, state, wanted, added)
  const totalG = added.reduce((sum, one) => sum + one.massG, 0)
  return {
    additions,
    after,
    left,
    cost: left * 4 + totalG / (input.massG * 0.1) + COST_PER_ITEM * additions.length,
    faults: faultsOf(input, after, totalG, roomG),
  }
}

type State = Record<Axis, number> & { riceMassG: number }

function stateOf(input: TasteInput): State {
  return {
    riceMassG: input.riceMassG ?? input.massG * RICE_SHARE,
    saltFraction: input.saltFraction,
    sugarFraction: input.sugarFraction,
    fatFraction: input.fatFraction ?? USUAL_FAT,
    freeLiquidFraction: input.freeLiquidFraction,
    acid: input.acidFraction ?? 0.05,
    umami: 0,
  }
}

/** Where each taste should go: the verdict's step, held inside the style's band. */
function targetOf(input: TasteInput, state: State): Record<Axis, number> {
  const steps = STEP[input.verdict]
  const moved = Object.fromEntries(
    AXES.map((axis) => [axis, Math.max(0, state[axis] + (steps[axis]?.[input.strength === 'weak' ? 0 : 1] ?? 0))]),
  ) as Record<Axis, number>
  const { saltFraction, freeLiquidFraction } = input.bands
  if (input.verdict === 'bland') moved.saltFraction = Math.min(moved.saltFraction, saltFraction.most)
  if (input.verdict === 'dry') moved.freeLiquidFraction = Math.min(moved.freeLiquidFraction, freeLiquidFraction.most)
  return moved
}

/** How far an item dilutes an axis: liquid is counted against the rice, everything else against the mass. */
const diluting = (axis: Axis, item: AtHand) => (axis === 'freeLiquidFraction' ? (item.isRice ? 1 : 0) : 1)

function tastedAfter(input: TasteInput, state: State, added: readonly { item: AtHand; massG: number }[]): Tasted {
  const mixed = (axis: Axis, baseG: number) => {
    const sum = added.reduce((total, { item, massG }) => total + item[axis] * massG, state[axis] * baseG)
    return sum / (baseG + added.reduce((total, { item, massG }) => total + massG * diluting(axis, item), 0))
  }
  return {
    massG: input.massG + added.reduce((sum, one) => sum + one.massG, 0),
    saltFraction: mixed('saltFraction', input.massG),
    sugarFraction: mixed('sugarFraction', input.massG),
    freeLiquidFraction: mixed('freeLiquidFraction', state.riceMassG),
  }
}

/** The largest share of the verdict's steps that is still missing; of a pair, one answered is enough. */
function unanswered(
  input: TasteInput,
  state: State,
  wanted: Record<Axis, number>,
  added: readonly { item: AtHand; massG: number }[],
): number {
  const missing = (Object.keys(STEP[input.verdict]) as Axis[]).map((axis) => {
    const baseG = axis === 'freeLiquidFraction' ? state.riceMassG : input.massG
    const sum = added.reduce((total, { item, massG }) => total + item[axis] * massG, state[axis] * baseG)
    const after = sum / (baseG + added.reduce((total, { item, massG }) => total + massG * diluting(axis, item), 0))
    const step = wanted[axis] - state[axis]
    return step === 0 ? 0 : Math.max(0, 1 - (after - state[axis]) / step)
  })
  return Math.min(...missing)
}

function faultsOf(input: TasteInput, after: Tasted, totalG: number, roomG: number): Rejected['why'][] {
  const { saltFraction, sugarFraction, freeLiquidFraction } = input.bands
  const crosses = (value: number, before: number, most: number) => value > Math.max(most, before) + 1e-9
  return [
    ...(crosses(after.freeLiquidFraction, input.freeLiquidFraction, freeLiquidFraction.most)
      ? (['wets'] as const)
      : []),
    ...(crosses(after.saltFraction, input.saltFraction, saltFraction.most) ? (['salts'] as const) : []),
    ...(crosses(after.sugarFraction, input.sugarFraction, sugarFraction.most) ? (['sweetens'] as const) : []),
    ...(totalG > roomG + 1e-9 ? (['overfills'] as const) : []),
  ]
}

/** Single additions that would have answered but for one fault. */
function rejectedOf(tries: readonly Attempt[], best: Attempt, massG: number): Rejected[] {
  const found = new Map<string, Rejected>()
  for (const { additions, faults, left } of tries) {
    const [addition] = additions
    const why = faults[0]
    if (!addition || additions.length > 1 || !why || left > MENDED || addition.massG > massG * MAX_REJECTED_SHARE)
      continue
    if (!best.additions.some((one) => one.id === addition.id)) found.set(addition.id, { addition, why })
  }
  return [...found.values()]
}

function itemSets(items: readonly AtHand[]): AtHand[][] {
  const sets: AtHand[][] = []
  const grow = (from: number, chosen: AtHand[]) => {
    if (chosen.length > 0) sets.push(chosen)
    if (chosen.length === MAX_ITEMS) return
    items.slice(from).forEach((item, i) => grow(from + i + 1, [...chosen, item]))
  }
  grow(0, [])
  return sets
}

/** Tenths of a gram below ten, whole grams above: what a scale at the station shows. */
const roundG = (massG: number) => (massG < 10 ? Math.round(massG * 10) / 10 : Math.round(massG))
