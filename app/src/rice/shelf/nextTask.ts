import type { RicePolicy } from 'contract/riceHouse'
import { cookTimes } from 'core/rice/cookMethod'
import { inOrderOfUse } from 'core/rice/lot/allocate'
import { stepAtRisk } from 'core/rice/lot/lotForecast'
import { valueOf, WORKING, type Worked } from '../../device/worked'
import type { WatchedLots } from '../useRiceWork'
import { onHandOf, type ShownLot } from '../useLots'

export type RiceTask =
  | { kind: 'bin'; shown: ShownLot; why: 'old' | 'out' }
  | { kind: 'risk' | 'weigh' | 'read' | 'carry'; shown: ShownLot }
  | { kind: 'tomorrow' }
  /** Something that it rests on is still worked out. */
  | { kind: 'working' }

const MIN_MS = 60_000
/** A tray is looked at this often while it is hot, and by the hour later. */
const READ_HOT_MS = 25 * MIN_MS
const READ_COLD_MS = 60 * MIN_MS
/** Rice is carried out this long before it is asked for. */
const CARRY_AHEAD_MS = 60 * MIN_MS

/** When a load leaves the heat; null for rice from elsewhere. */
export function readyAtMs({ lot }: ShownLot): number | null {
  if (!lot.load) return null
  const { cookMin, restMin } = cookTimes(lot.load.method, lot.load.blend)
  return lot.bornAtMs + (cookMin + restMin) * MIN_MS
}

/** A cooling lot nobody has read for a while. */
export function isReadingDue({ state }: ShownLot, nowMs: number): boolean {
  const lastMs = state.readings.at(-1)?.atMs ?? state.spreadAtMs ?? nowMs
  if (state.stage === 'cooling') return nowMs - lastMs > READ_HOT_MS
  return state.stage === 'chilling' && nowMs - lastMs > READ_COLD_MS
}

/** The one thing to do about rice now: what is unsafe first, then what is running out of time, then what comes next. */
export function nextTask(
  lots: readonly ShownLot[],
  watched: WatchedLots,
  policy: Pick<RicePolicy, 'serveFrom'>,
  nextDemand: Worked<number>,
  nowMs: number,
): RiceTask {
  const past = lots.find(({ state }) => state.notUsable?.kind === 'tooOld')
  if (past) return { kind: 'bin', shown: past, why: 'old' }
  const out = lots.find(({ state }) => state.notUsable?.kind === 'outTooLong')
  if (out) return { kind: 'bin', shown: out, why: 'out' }
  const inDoubt = lots.find(({ state }) => state.notUsable?.kind === 'held' || state.notUsable?.kind === 'overdue')
  if (inDoubt) return { kind: 'read', shown: inDoubt }
  const atRisk = lots.find(({ lot }) => {
    const one = valueOf(watched.get(lot.id) ?? WORKING)
    return one && stepAtRisk(one.forecast.steps)
  })
  if (atRisk) return { kind: 'risk', shown: atRisk }
  const done = lots.find((shown) => shown.state.stage === 'cooking' && (readyAtMs(shown) ?? 0) <= nowMs)
  if (done) return { kind: 'weigh', shown: done }
  const due = lots.find((shown) => isReadingDue(shown, nowMs))
  if (due) return { kind: 'read', shown: due }
  const onHand = inOrderOfUse(lots.flatMap(onHandOf))
  const nextDemandMs = valueOf(nextDemand)
  const isWanted = nextDemandMs !== null && nextDemandMs - nowMs < CARRY_AHEAD_MS
  const first = onHand[0]
  if (policy.serveFrom === 'tempered' && isWanted && first?.stage === 'ready') {
    const shown = lots.find(({ lot }) => lot.id === first.id)
    if (shown) return { kind: 'carry', shown }
  }
  const isWorking = nextDemand.kind === 'working' || [...watched.values()].some((one) => one.kind === 'working')
  return isWorking ? { kind: 'working' } : { kind: 'tomorrow' }
}
