import { HOLDING_LIMITS } from '../../safety/coolingLimits'
import type { RuleSet } from '../../safety/limits'
import { MIN_DEPTH_M, MAX_DEPTH_M } from '../cooling/coolTray'
import { isAbove } from '../../measure/temperature'
import type { LotEvent } from './lotEvent'
import { isWarmPlace, READING_NOW_MS } from './lotHolding'
import type { LotState } from './lotState'

/** Why an event of a lot is refused. */
export type LotFault = {
  code: 'lot-short' | 'lot-not-cold' | 'lot-frozen-once' | 'lot-not-back' | 'lot-depth' | 'lot-lead' | 'lot-proven'
  values: Record<string, number>
}

const SLACK_G = 1

/**
 * Why a lot as it stands cannot take an event, or null. What runs took is never refused: the rice is in the wok. What is
 * said after a lot's end is no fault either: it is kept, and changes nothing. Rice goes back into the cold only with a cold
 * reading taken now, or as soon as the rule set allows.
 */
export function lotFault(
  state: LotState,
  event: LotEvent,
  ruleSet: RuleSet,
  leadIds: readonly string[],
): LotFault | null {
  if (state.end) return null
  switch (event.kind) {
    case 'gave':
    case 'discarded':
      if (event.massG !== null && event.massG > state.massG + SLACK_G)
        return { code: 'lot-short', values: { askedG: Math.round(event.massG), leftG: Math.round(state.massG) } }
      return event.kind === 'gave' && !isCold(state) ? notCold(state) : null
    case 'spread':
      if (event.depthM < MIN_DEPTH_M || event.depthM > MAX_DEPTH_M) return depthFault(event.depthM)
      return null
    case 'moved':
      if (event.depthM !== null && (event.depthM < MIN_DEPTH_M || event.depthM > MAX_DEPTH_M))
        return depthFault(event.depthM)
      return moveFault(state, event, ruleSet)
    case 'accepted':
      if (event.staffId === null || !leadIds.includes(event.staffId)) return { code: 'lot-lead', values: {} }
      return state.judged === 'unproven' ? null : { code: 'lot-proven', values: {} }
    case 'confirmed':
    case 'counted':
    case 'loosened':
    case 'finished':
    case 'read':
    case 'refused':
    case 'ruleSet':
    case 'took':
    case 'undone':
    case 'used':
      return null
  }
}

const isCold = (state: LotState) => state.stage === 'ready' || state.stage === 'tempering' || state.stage === 'frozen'

const notCold = (state: LotState): LotFault => ({
  code: 'lot-not-cold',
  values: { tempC: Math.round(state.lastTempC ?? 0) },
})

const depthFault = (depthM: number): LotFault => ({
  code: 'lot-depth',
  values: { depthCm: Math.round(depthM * 1000) / 10, leastCm: MIN_DEPTH_M * 100, mostCm: MAX_DEPTH_M * 100 },
})

function moveFault(state: LotState, event: Extract<LotEvent, { kind: 'moved' }>, ruleSet: RuleSet): LotFault | null {
  const { place, airTempC, atMs } = event
  const { coldC, coldF, returnWithinS } = HOLDING_LIMITS[ruleSet]
  const cold = { tempC: coldC, tempF: coldF }
  const goesOut = isWarmPlace(place, airTempC, cold)
  if ((place === 'bench' || place === 'freezer') && !isCold(state)) return notCold(state)
  if (place === 'freezer' && state.freezes > 0 && state.stage !== 'frozen')
    return { code: 'lot-frozen-once', values: {} }
  if (!goesOut && state.outSinceMs !== null && isWarmPlace(state.place, state.airTempC, cold)) {
    const last = state.readings.filter((one) => one.doubt === null).at(-1)
    const isColdNow = last !== undefined && !isAbove(last, cold) && atMs - last.atMs <= READING_NOW_MS
    const isInTime = returnWithinS !== null && state.outS < returnWithinS
    if (!isColdNow && !isInTime) return { code: 'lot-not-back', values: { coldC, outMin: Math.round(state.outS / 60) } }
  }
  return null
}
