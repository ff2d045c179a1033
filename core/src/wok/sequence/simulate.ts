import { metalC, residuals, rimC } from '../heat/pan'
import { preheatOf, type Preheated } from '../heat/preheat'

import { type WokComponent } from './component'
import { Cooking } from './cooking'

import { handlingFor, heatFor, preheatToC } from './levels'
import { isStrewn } from './inStages'
import { OPENS_S } from './lumps'
import type { Move } from './moves'
import type { Parts } from './parts'
import type { Precision } from './precision'
import { endedOf, noteOf, type Done, type Run, type Station } from './run'
import { riceAt, until } from './until'
import type { Choice } from './vocabulary'

/** An empty vessel so far above or below its heat is waited for [K], no longer than so [s]. [C] */
const WAIT = { overK: 25, underK: 35, mostS: 90, coarseS: 3 } as const
/** Mass that leaves with a component as oil on it, against its own. [C] */
const CARRIES_OIL = 0.03

/** A run on its way: what is in the vessel, and what was done so far. */
type Going = {
  cooking: Cooking
  done: Done[]
  oiled: number
  asideK: number
  hasSteamed: boolean
  rice: Run['rice'] | null
}
/**
 * Lists of moves that begin alike are cooked once as far as they are alike: runs on their way by what was done in them, kept
 * where more than one of the lists goes on from.
 */
export type Begun = { kept: Map<string, Going>; isShared: (key: string) => boolean }
export function beginTogether(lists: readonly { choice: Choice; moves: readonly Move[] }[], parts: Parts): Begun {
  const seen = new Set<string>()
  const shared = new Set<string>()
  for (const { choice, moves } of lists)
    for (const key of keysOf(moves, choice, parts)) (seen.has(key) ? shared : seen).add(key)
  return { kept: new Map(), isShared: (key) => shared.has(key) }
}

/** Cooks the moves of a choice; what `begun` has of them is not cooked again. */
export function simulate(
  parts: Parts,
  choice: Choice,
  moves: readonly Move[],
  station: Station,
  precision: Precision,
  begun?: Begun,
): Run {
  const { vessel } = station
  const preheatC = preheatToC(choice, vessel.holdC)
  const heated = heatedTo(station, preheatC)
  const kitchen: Kitchen = {
    station,
    choice,
    preheatC,
    all: parts.byId,
    oilings: oilingsOf(moves),
    fatG: parts.fat.reduce((sum, { massG }) => sum + massG, 0),
  }
  const keys = begun ? keysOf(moves, choice, parts) : []
  let at = begun ? moves.length : 0
  while (at > 0 && !begun?.kept.has(keys[at - 1]!)) at -= 1
  let going: Going =
    begun && at > 0
      ? copyOf(begun.kept.get(keys[at - 1]!)!)
      : {
          cooking: Cooking.start(vessel, heated.metalC, heated.rimC, precision, OPENS_S[choice.tool]),
          done: [],
          oiled: 0,
          asideK: 0,
          hasSteamed: false,
          rice: null,
        }
  for (; at < moves.length; at += 1) {
    cookMove(going, moves[at]!, kitchen)
    if (!begun?.isShared(keys[at]!)) continue
    begun.kept.set(keys[at]!, going)
    going = copyOf(going)
  }
  const { cooking, rice, asideK, done } = going
  const residual = residuals(cooking.pan)
  return {
    choice,
    moves: done,
    preheatS: heated.seconds,
    preheatC: heated.metalC,
    totalS: cooking.pan.atS,
    rice: {
      ...riceAt(cooking, rice?.startS ?? 0, rice?.startC ?? rimC(cooking.pan)),
      doneS: rice?.doneS ?? null,
    },
    ended: endedOf(cooking),
    caramel: cooking.seen.caramel,
    butterC: cooking.seen.butterC,
    fatOverK: overSmokeK(done, parts.fat),
    asideK,
    bowlC: cooking.bowlC(),
    energyResidual: residual.energy,
    waterResidual: residual.water,
  }
}

type Kitchen = {
  station: Station
  choice: Choice
  preheatC: number
  all: ReadonlyMap<string, WokComponent>
  oilings: number
  fatG: number
}

const copyOf = (going: Going): Going => ({
  ...going,
  cooking: going.cooking.copy(),
  done: [...going.done],
  rice: going.rice && { ...going.rice },
})

const oilingsOf = (moves: readonly Move[]) => moves.filter(({ kind }) => kind === 'oil').length

/** What was done up to each move, in words that are the same where it is the same. */
function keysOf(
  moves: readonly Move[],
  { heat, garlic, preheat, lastToss, oil, tool }: Choice,
  { fat }: Parts,
): string[] {
  let key = `${heat} ${garlic} ${preheat} ${lastToss} ${oil} ${tool} ${fat.length > 0 ? oilingsOf(moves) : 0}`
  return moves.map((move) => (key += `|${JSON.stringify(move)}`))
}

/** Does one move, to its end. */
function cookMove(going: Going, move: Move, { station, choice, preheatC, all, oilings, fatG }: Kitchen): void {
  const { cooking } = going
  const heat = heatFor(choice, move.segment, station.vessel.holdC)
  const handling = move.handling ?? handlingFor(move.segment, station.handling)
  const isOiledOff = move.kind === 'oil' && going.oiled === 0 && choice.preheat === 'offWhileOiling'
  if (move.kind === 'off') cooking.off()
  else cooking.work(heat, handling)
  const waitedS = move.kind === 'oil' ? waitEmpty(cooking, heat.ceilingC, Math.min(preheatC, heat.ceilingC)) : 0
  const startS = cooking.pan.atS
  const startC = metalC(cooking.pan)
  let oilG = 0
  let carriedG = 0
  const onMetalG = cooking.pan.oilKg * 1000
  if (move.kind === 'oil') {
    oilG = fatG * oilShare(going.oiled, oilings)
    going.oiled += 1
    cooking.oil(oilG)
    if (isOiledOff) cooking.off()
  }
  if (move.kind === 'in' && !STAYS_COOL.includes(move.slot))
    for (const one of move.ids.map((id) => all.get(id)!))
      if (!isStrewn(one)) cooking.add(one, move.shares?.[one.id] ?? 1, move)
  if (move.kind === 'out' || move.kind === 'aside') {
    if (move.kind === 'out') wait(cooking, LOOKS_S)
    const outG = move.ids.reduce((sum, id) => sum + (all.get(id)?.massG ?? 0), 0)
    cooking.takeOut(move.ids)
    const carried =
      move.slot === 'egg' && choice.oil === 'pressedBack' ? 0 : Math.min(cooking.pan.oilKg * 1000, CARRIES_OIL * outG)
    cooking.oil(-carried)
    carriedG = carried
  }
  if (move.kind === 'back') for (const id of move.ids) going.asideK += cooking.bringBack(id)
  const seen = until(cooking, move.until, startS)
  const renderedG = cooking.settleFat()
  if (move.isPatch) cooking.fold()
  if (move.slot === 'rice' && going.rice === null) going.rice = riceAt(cooking, startS, startC)
  else if (move.slot === 'rice' && going.rice?.doneS === null) going.hasSteamed = true
  if (going.rice && (move.slot === 'rice' || going.rice.doneS === null))
    going.rice.doneS = seen.isRiceDone && !going.hasSteamed ? cooking.pan.atS : null
  going.done.push(
    noteOf(cooking, move, { startS, startC, lowC: seen.lowC, oilG, renderedG, carriedG, onMetalG, waitedS }),
  )
}

/** Before food is taken out, what is done is looked at [s]. [C] */
export const LOOKS_S = 2
/** What is too little, or too late, to change the heat of the heap. */
export const STAYS_COOL: readonly Move['slot'][] = ['dry', 'volatile', 'finish']

/** A griddle is kept at its set-point; everything else is heated from cold. */
const heatedTo = ({ vessel, isGriddle }: Station, toC: number): Preheated =>
  isGriddle ? { seconds: 0, metalC: toC, rimC: toC } : preheatOf(vessel, toC)

/** The first oiling takes half, those after it share the rest. */
export const oilShare = (nth: number, oilings: number) => (oilings === 1 ? 1 : nth === 0 ? 0.5 : 0.5 / (oilings - 1))

/** How far the metal was over the smoke point of these fats when it was oiled, at most [K]. */
function overSmokeK(moves: readonly Done[], fats: readonly WokComponent[]): number {
  const smokesAtC = Math.min(...fats.map((one) => one.smokesAtC ?? Infinity))
  return Math.max(0, ...moves.map(({ move, startC }) => (move.kind === 'oil' ? startC - smokesAtC : 0)))
}

/** Lets the empty vessel cool to its ceiling or come back to its heat; the seconds it took. */
function waitEmpty(cooking: Cooking, ceilingC: number, heatC: number): number {
  if (cooking.inside.length > 0) return 0
  let seconds = 0
  const isOff = () => {
    const nowC = metalC(cooking.pan)
    return nowC > ceilingC + WAIT.overK || nowC < heatC - WAIT.underK
  }
  const stepS = cooking.isCoarse ? WAIT.coarseS : 1
  for (; isOff() && seconds < WAIT.mostS; seconds += stepS) cooking.step(stepS)
  return seconds
}

function wait(cooking: Cooking, seconds: number): void {
  const toS = cooking.pan.atS + seconds
  while (cooking.pan.atS < toS) cooking.step(toS - cooking.pan.atS, 0)
}
