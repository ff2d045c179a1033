import type { CoolingLimit } from '../../safety/coolingLimits'
import type { Blend, Wash } from '../cookMethod'
import { COOKED_BULK_KG_PER_L } from '../cookMethod'
import type { CoolStage, TrayMaterial } from '../cooling/coolingPlace'
import { coolsToS } from '../cooling/judgeCurve'
import { mostDepthM, predictCooling, trayStages } from '../cooling/predictCooling'
import { cookedMassWantedG, portionsToCover, sufficientShare, type Margin } from './howMuch'
import { planLoads, type LoadPlan, type Vessel } from '../loads'
import { wholeUp } from '../../math/wholeUp'

const DEPTH_STEP_M = 0.002
const LEAVES_HEAT_C = 95

/** The inner size of a tray, and what it is made of. */
export type TraySize = { lengthM: number; widthM: number; material?: TrayMaterial | undefined }
/** What a day's rice is planned from. */
export type RicePlanInput = {
  expected: number
  spread: number
  margin: Margin
  portionG: number
  usableG: number
  vessel: Vessel
  blend: Blend
  wash: Wash
  tray: TraySize
  cooling: readonly CoolStage[]
  limit: CoolingLimit
  /** The last tray shall be cold by then, and nothing starts before `fromMs`. */
  coldByMs: number
  fromMs: number
}

/** When a load begins, is ready, and is cold; null where it never is. */
export type LoadTime = { startMs: number; readyMs: number; coldMs: number | null }
/** A day's rice: loads, trays, depth and times. */
export type RicePlan = {
  share: number
  portions: number
  /** Ready for the wok. */
  wantedG: number
  toCookG: number
  loads: LoadPlan[]
  times: LoadTime[]
  coolingLossFraction: number
  depthM: number
  largestPassingDepthM: number
  trays: number
  /** From leaving the heat to cold storage temperature [s]; null where the place never gets there. */
  coolS: number | null
  latestStartMs: number | null
}

/**
 * From an expectation to loads and trays: the portions that suffice on the margin's share of days, less what is in the
 * house; the dry rice whose cooked and cooled mass is the rest; trays no deeper than the rule and good practice allow; and
 * times by which each load leaves the heat so that the last is cold in time.
 */
export function planRice(input: RicePlanInput): RicePlan {
  const share = sufficientShare(input.margin)
  const portions = wholeUp(portionsToCover(input.expected, input.spread, share))
  const wantedG = portions * input.portionG
  const toCookG = cookedMassWantedG({ portions, portionG: input.portionG, usableG: input.usableG })
  const stages = trayStages(input.cooling)
  const { passingM, advisedM } = mostDepthM({ startTempC: LEAVES_HEAT_C }, input.cooling, input.limit)
  const loss = (depthM: number) => predictCooling({ depthM, startTempC: LEAVES_HEAT_C }, stages, input.limit)
  const usualDepthM = Math.max(advisedM, 0.01)
  const first = loss(usualDepthM)
  const coolingLossFraction = first.cooling.massLossFraction
  const loads = planLoads({ cookedMassG: toCookG / (1 - coolingLossFraction), ...input })
  const hotG = loads.reduce((sum, load) => sum + load.cookedMassG, 0)
  const trayG = input.tray.lengthM * input.tray.widthM * usualDepthM * COOKED_BULK_KG_PER_L * 1_000_000
  const trays = wholeUp(hotG / trayG)
  const depthM = trays === 0 ? usualDepthM : evenDepthM(hotG, trays, input.tray)
  const { cooling } = loss(Math.max(depthM, 0.005))
  const coolS = coolsToS(cooling, input.limit.steps.at(-1)!.tempC)
  const { times, latestStartMs } = timeLoads(loads, input, coolS)
  return {
    share,
    portions,
    wantedG,
    toCookG,
    loads,
    times,
    coolingLossFraction,
    depthM,
    largestPassingDepthM: passingM,
    trays,
    coolS,
    latestStartMs,
  }
}

function evenDepthM(massG: number, trays: number, tray: TraySize): number {
  const exact = massG / 1_000_000 / COOKED_BULK_KG_PER_L / (trays * tray.lengthM * tray.widthM)
  return wholeUp(exact / DEPTH_STEP_M) * DEPTH_STEP_M
}

/** Loads follow each other in the vessels there are, from now on; the latest start is the last that is cold in time. */
function timeLoads(
  loads: readonly LoadPlan[],
  { fromMs, coldByMs, vessel }: Pick<RicePlanInput, 'fromMs' | 'coldByMs' | 'vessel'>,
  coolS: number | null,
): { times: LoadTime[]; latestStartMs: number | null } {
  const times: LoadTime[] = []
  for (const [index, load] of loads.entries()) {
    const startMs = index < vessel.count ? fromMs : times[index - vessel.count]!.readyMs
    const readyMs = startMs + (load.cookS + load.restS) * 1000
    times.push({ startMs, readyMs, coldMs: coolS === null ? null : readyMs + coolS * 1000 })
  }
  const lastColdMs = times.at(-1)?.coldMs ?? null
  return { times, latestStartMs: lastColdMs === null ? null : fromMs + (coldByMs - lastColdMs) }
}

/** When the first load has to be on so that the last tray is cold in time: by an instant, already past, or never. */
export function startBy(
  latestStartMs: number | null,
  nowMs: number,
): { kind: 'by'; atMs: number } | { kind: 'late' } | { kind: 'never' } {
  if (latestStartMs === null) return { kind: 'never' }
  return latestStartMs < nowMs ? { kind: 'late' } : { kind: 'by', atMs: latestStartMs }
}
