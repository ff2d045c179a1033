import type { Doneness } from '../heat/doneness'
import { metalC, residuals, rimC } from '../heat/pan'
import { preheatOf, type Preheated } from '../heat/preheat'
import type { Handling } from '../heat/parameters'
import type { Vessel } from '../heat/vessel'
import { READY_C, type WokComponent } from './component'
import { startCooking, type Cooking, type Inside, type Precision } from './cooking'
import { burnOf, progressOf } from './progress'
import { heatOf, preheatToC } from './levels'
import type { Move, Segment, Until } from './moves'
import type { Parts } from './parts'
import type { Choice } from './vocabulary'

/** What a move was like. */
export type Done = {
  move: Move
  startS: number
  endS: number
  /** Of the metal when it began, its lowest, and when it ended [°C]. */
  startC: number
  lowC: number
  endC: number
  /** Oil that went in [g]. */
  oilG: number
  /** Of the components in the vessel when it ended. */
  progress: ReadonlyMap<string, number>
  burn: ReadonlyMap<string, number>
  /** Burn a second at its end, for how long the next step may wait. */
  burnPerS: ReadonlyMap<string, number>
  /** Sat out to let the empty vessel come to heat, before it began [s]. */
  waitedS: number
}

/** How a component ended. */
export type Ended = {
  one: WokComponent
  progress: number
  burn: number
  coreC: number
  peakC: number
  logKill: number
  overS: number
  softness: number
}

/** A whole run as the model has it. */
export type Run = {
  choice: Choice
  moves: readonly Done[]
  /** From cold to the first oil [s]; null where this flame never gets there. */
  preheatS: number | null
  preheatC: number
  totalS: number
  rice: {
    startS: number
    doneS: number | null
    startC: number
    lowestC: number
    fryingS: number
    freeFraction: number
    coreC: number
  }
  ended: readonly Ended[]
  caramel: number
  butterC: number
  /** Cooled in bowls, all together [K]. */
  asideK: number
  energyResidual: number
  waterResidual: number
}

export type Station = { vessel: Vessel; handling: Handling; isGriddle: boolean }

/** Rice is done: hot, so long fried, so dry [C]; by then it is given up [s]. */
export const RICE = { fryingS: 20, freeFraction: 0.006, mostS: 240, halfOf: 0.5, crustBrowning: 1.1 } as const
/** An empty vessel so far above or below its heat is waited for [K], no longer than so [s]. [C] */
const WAIT = { overK: 25, underK: 35, mostS: 90 } as const
/** Nearer than this to its burn limit nothing in the base is waited for. */
const BURN_STOPS = 0.7
/** Mass that leaves with a component as oil on it, against its own. [C] */
const CARRIES_OIL = 0.03

/** Cooks the moves of a choice. */
export function simulate(
  parts: Parts,
  choice: Choice,
  moves: readonly Move[],
  station: Station,
  precision: Precision,
): Run {
  const { vessel } = station
  const preheatC = preheatToC(choice.heat, vessel.holdC)
  const heated = heatedTo(station, preheatC)
  const cooking = startCooking(vessel, heated.metalC, heated.rimC, precision)
  const all = new Map(
    Object.values(parts)
      .flatMap((some) => (Array.isArray(some) ? some : []))
      .map((one) => [one.id, one]),
  )
  const oilings = moves.filter(({ kind }) => kind === 'oil').length
  const fatG = parts.fat.reduce((sum, { massG }) => sum + massG, 0)
  const done: Done[] = []
  let poured = 0
  let asideK = 0
  let rice: Run['rice'] | null = null
  for (const move of moves) {
    const heat = heatOf(choice.heat, move.segment, vessel.holdC)
    const handling = move.handling ?? handlingOf(move.segment, station)
    if (move.kind === 'off') cooking.off()
    else cooking.work(heat, handling)
    const waitedS = move.kind === 'oil' ? waitEmpty(cooking, heat.ceilingC, Math.min(preheatC, heat.ceilingC)) : 0
    const startS = cooking.pan.atS
    const startC = metalC(cooking.pan)
    let oilG = 0
    if (move.kind === 'oil') {
      oilG = fatG * oilShare(poured, oilings)
      poured += 1
      cooking.oil(oilG)
      cooking.work(heat, handling)
    }
    if (move.kind === 'in' && move.slot !== 'dry' && move.slot !== 'volatile' && move.slot !== 'finish')
      for (const id of move.ids) cooking.add(all.get(id)!, move.shares?.[id] ?? 1, move)
    if (move.kind === 'out' || move.kind === 'aside') {
      if (move.kind === 'out') wait(cooking, 2)
      const outG = move.ids.reduce((sum, id) => sum + (all.get(id)?.massG ?? 0), 0)
      cooking.takeOut(move.ids)
      cooking.oil(-Math.min(cooking.pan.oilKg * 1000, CARRIES_OIL * outG))
      cooking.work(heat, handling)
    }
    if (move.kind === 'back') for (const id of move.ids) asideK += cooking.bringBack(id)
    const seen = until(cooking, move.until, startS)
    if (move.isPatch) cooking.fold()
    if (move.slot === 'rice') rice = riceAt(cooking, startS, startC)
    if (rice && rice.doneS === null && seen.isRiceDone) rice.doneS = cooking.pan.atS
    done.push(noteOf(cooking, move, { startS, startC, lowC: seen.lowC, oilG, waitedS }))
  }
  const residual = residuals(cooking.pan)
  return {
    choice,
    moves: done,
    preheatS: heated.seconds,
    preheatC: heated.metalC,
    totalS: cooking.pan.atS,
    rice: { ...riceAt(cooking, rice?.startS ?? 0, rice?.startC ?? rimC(cooking.pan)), doneS: rice?.doneS ?? null },
    ended: endedOf(cooking),
    caramel: cooking.seen.caramel,
    butterC: cooking.seen.butterC,
    asideK,
    energyResidual: residual.energy,
    waterResidual: residual.water,
  }
}

/** What lies alone in a wok is turned, not thrown: it needs the metal. */
const handlingOf = (segment: Segment, { handling }: Station): Handling =>
  handling === 'toss' && (segment === 'egg' || segment === 'own') ? 'stir' : handling

/** A griddle is kept at its set-point; everything else is heated from cold. */
const heatedTo = ({ vessel, isGriddle }: Station, toC: number): Preheated =>
  isGriddle ? { seconds: 0, metalC: toC, rimC: toC } : preheatOf(vessel, toC)

/** The first oiling takes half, those after it share the rest. */
const oilShare = (nth: number, oilings: number) => (oilings === 1 ? 1 : nth === 0 ? 0.5 : 0.5 / (oilings - 1))

/** Lets the empty vessel cool to its ceiling or come back to its heat; the seconds it took. */
function waitEmpty(cooking: Cooking, ceilingC: number, heatC: number): number {
  if (cooking.inside.length > 0) return 0
  let seconds = 0
  const isOff = () => {
    const nowC = metalC(cooking.pan)
    return nowC > ceilingC + WAIT.overK || nowC < heatC - WAIT.underK
  }
  for (; isOff() && seconds < WAIT.mostS; seconds += 1) cooking.step(1)
  return seconds
}

function wait(cooking: Cooking, seconds: number): void {
  for (let s = 0; s < seconds; s += 1) cooking.step(1)
}

/** Goes on until the move ends. */
function until(cooking: Cooking, end: Until, startS: number): { lowC: number; isRiceDone: boolean } {
  let lowC = metalC(cooking.pan)
  const brownedBefore = riceBrowning(cooking)
  for (;;) {
    const spentS = cooking.pan.atS - startS
    if (isOver(cooking, end, spentS, brownedBefore)) break
    cooking.step(end.kind === 'seconds' ? Math.min(1, end.seconds - spentS) : undefined)
    lowC = Math.min(lowC, metalC(cooking.pan))
  }
  return { lowC, isRiceDone: end.kind === 'riceDone' && isRiceDone(cooking) }
}

function isOver(cooking: Cooking, end: Until, spentS: number, brownedBefore: number): boolean {
  switch (end.kind) {
    case 'seconds':
      return spentS >= end.seconds - 1e-9
    case 'progress':
      return spentS >= end.mostS || (spentS >= (end.leastS ?? 0) && cooking.progress(end.ids) >= end.at)
    case 'baseEnd':
      return spentS >= end.mostS || cooking.progress(end.ids) >= 1 || cooking.burn() >= BURN_STOPS
    case 'riceHalf':
      return spentS >= RICE.mostS / 2 || riceCoreC(cooking) >= halfC(cooking)
    case 'riceDone':
      return spentS >= RICE.mostS || isRiceDone(cooking)
    case 'crust':
      return spentS >= end.mostS || riceBrowning(cooking) >= brownedBefore + RICE.crustBrowning
    case 'dry':
      return spentS >= end.mostS || (spentS >= end.leastS && cooking.freeFraction() <= RICE.freeFraction)
  }
}

const isRiceDone = (cooking: Cooking): boolean =>
  riceCoreC(cooking) >= READY_C.aimed &&
  cooking.seen.fryingS >= RICE.fryingS &&
  cooking.freeFraction() <= RICE.freeFraction

/** Least core of the rice and what stands for part of it [°C]. */
function riceCoreC(cooking: Cooking): number {
  let least = Infinity
  cooking.inside.forEach(({ one }, index) => {
    if (one.place === 'rice') least = Math.min(least, cooking.coreC(index))
  })
  return least
}
const halfC = (cooking: Cooking): number => {
  const startC = cooking.inside.find(({ one }) => one.place === 'rice')?.one.tempC ?? 0
  return startC + RICE.halfOf * (READY_C.checked - startC)
}
function riceBrowning(cooking: Cooking): number {
  const index = cooking.inside.findIndex(({ one }) => one.place === 'rice')
  return index < 0 ? 0 : cooking.doneness(index).browning
}

function riceAt(cooking: Cooking, startS: number, startC: number): Run['rice'] {
  const { lowestC, fryingS } = cooking.seen
  return {
    startS,
    doneS: null,
    startC,
    lowestC,
    fryingS,
    freeFraction: cooking.freeFraction(),
    coreC: riceCoreC(cooking),
  }
}

function noteOf(
  cooking: Cooking,
  move: Move,
  seen: { startS: number; startC: number; lowC: number; oilG: number; waitedS: number },
): Done {
  const progress = new Map<string, number>()
  const burn = new Map<string, number>()
  const burnPerS = new Map<string, number>()
  cooking.inside.forEach(({ one }, index) => {
    const at = cooking.doneness(index)
    progress.set(one.id, progressOf(one, at))
    burn.set(one.id, burnOf(one, at))
    burnPerS.set(one.id, cooking.browningPerS(index) / one.burnAt)
  })
  return { move, ...seen, endS: cooking.pan.atS, endC: metalC(cooking.pan), progress, burn, burnPerS }
}

function endedOf(cooking: Cooking): Ended[] {
  const ended = ({ one, overS, peakC }: Inside, at: Doneness): Ended => ({
    one,
    progress: progressOf(one, at),
    burn: burnOf(one, at),
    coreC: at.coreC,
    peakC,
    logKill: at.logKill,
    overS,
    softness: at.softness,
  })
  return [
    ...cooking.inside.map((it, index) => ended(it, cooking.doneness(index))),
    ...[...cooking.bowls.values()].map((bowl) => ended(bowl, bowl.doneness)),
  ]
}
