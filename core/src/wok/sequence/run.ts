import type { Doneness } from '../heat/doneness'
import { metalC } from '../heat/pan'
import type { Handling } from '../heat/parameters'
import type { Vessel } from '../heat/vessel'
import type { WokComponent } from './component'
import type { Cooking } from './cooking'
import type { Inside } from './inside'
import type { Move } from './moves'
import { burnOf, progressOf } from './progress'
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
  /** Fat that ran out of the food, and that left with what was taken out [g]; what lay on the metal when it began. */
  renderedG: number
  carriedG: number
  onMetalG: number
  /** Of the components in the vessel when it ended; noted in the fine run alone. */
  progress: ReadonlyMap<string, number>
  burn: ReadonlyMap<string, number>
  /** Burn a second at its end, for how long the next step may wait. */
  burnPerS: ReadonlyMap<string, number>
  /** Raw food that this check finds short of its core or its kill. */
  unproven: readonly string[]
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
  /** How far the metal was over the smoke point of what fries when it was oiled, at most [K]. */
  fatOverK: number
  /** Cooled in bowls, all together [K]. */
  asideK: number
  /** Of what lies in bowls at the end, all together with what is in the vessel [°C]; null where nothing does. */
  bowlC: number | null
  energyResidual: number
  waterResidual: number
}

export type Station = { vessel: Vessel; handling: Handling; isGriddle: boolean; isCoated: boolean }

/** Rice is done: hot, so long fried, so dry [C]; by then it is given up [s]. */
export const RICE = { fryingS: 20, freeFraction: 0.006, mostS: 240, halfOf: 0.5, crustBrowning: 1.1 } as const
/** Where runs are only ranked nobody reads what each move came to. */
const NOT_NOTED = { progress: new Map(), burn: new Map(), burnPerS: new Map() } as const

/** A core within this of its limit has reached it [K]: the simulation moves by whole steps. */
const CORE_TOLERANCE_K = 0.05

/** Whether a core was ever as hot as it has to be, and has killed what it has to kill. */
export const isProven = (
  { peakC, logKill }: Pick<Ended, 'peakC' | 'logKill'>,
  limit: { coreC: number | null; logKill: number | null },
): boolean => peakC >= (limit.coreC ?? 0) - CORE_TOLERANCE_K && logKill >= (limit.logKill ?? 0)

/** What a check finds raw. */
const unprovenIn = (cooking: Cooking, { kind, slot, ids }: Move): string[] =>
  kind !== 'check' || slot !== 'check'
    ? []
    : cooking.inside.flatMap(({ one, peakC }, index) => {
        if (one.place !== 'raw' || !ids.includes(one.id)) return []
        const at = cooking.doneness(index)
        return isProven({ peakC: Math.max(peakC, at.coreC), logKill: at.logKill }, one) ? [] : [one.id]
      })

/** What a move was like, once it is over. */
export function noteOf(
  cooking: Cooking,
  move: Move,
  seen: Pick<Done, 'startS' | 'startC' | 'lowC' | 'oilG' | 'renderedG' | 'carriedG' | 'onMetalG' | 'waitedS'>,
): Done {
  const ended = { move, ...seen, endS: cooking.pan.atS, endC: metalC(cooking.pan), unproven: unprovenIn(cooking, move) }
  if (!cooking.isFine) return { ...ended, ...NOT_NOTED }
  const progress = new Map<string, number>()
  const burn = new Map<string, number>()
  const burnPerS = new Map<string, number>()
  cooking.inside.forEach(({ one }, index) => {
    const at = cooking.doneness(index)
    progress.set(one.id, progressOf(one, at))
    burn.set(one.id, burnOf(one, at))
    burnPerS.set(one.id, cooking.browningPerS(index) / one.burnAt)
  })
  return { ...ended, progress, burn, burnPerS }
}

/** How everything in the vessel and in bowls ended. */
export function endedOf(cooking: Cooking): Ended[] {
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
    ...[...cooking.bowls.values()].map(({ was, doneness }) => ended(was, doneness)),
  ]
}
