import { HOLDING_LIMITS } from '../../safety/coolingLimits'
import type { RuleSet } from '../../safety/limits'
import { LEAST_DEPTH_M, MOST_DEPTH_M } from '../cooling/coolTray'
import type { LotState } from './lotState'
import type { LotEvent } from './lotEvent'

export type LotFault = {
  code: 'lot-short' | 'lot-not-cold' | 'lot-frozen-once' | 'lot-not-back' | 'lot-depth' | 'lot-broken'
  values: Record<string, number>
}

const SLACK_G = 1

/**
 * Why a lot as it stands cannot take an event, or null. What runs took is never refused: the rice is in the wok. What is
 * said after a lot's end is no fault either: it is kept, and changes nothing.
 */
export function lotFault(state: LotState, event: LotEvent, ruleSet: RuleSet): LotFault | null {
  if (state.end) return null
  switch (event.kind) {
    case 'gave':
    case 'discarded':
      if (event.massG !== null && event.massG > state.massG + SLACK_G)
        return { code: 'lot-short', values: { askedG: Math.round(event.massG), leftG: Math.round(state.massG) } }
      return event.kind === 'gave' && !isCold(state) ? notCold(state) : null
    case 'spread':
      if (event.depthM < LEAST_DEPTH_M || event.depthM > MOST_DEPTH_M) return depthFault(event.depthM)
      return null
    case 'moved':
      if (event.depthM !== null && (event.depthM < LEAST_DEPTH_M || event.depthM > MOST_DEPTH_M))
        return depthFault(event.depthM)
      return moveFault(state, event.place, ruleSet)
    case 'accepted':
      return state.verdict === 'broken' ? { code: 'lot-broken', values: {} } : null
    default:
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
  values: { depthCm: Math.round(depthM * 1000) / 10, leastCm: LEAST_DEPTH_M * 100, mostCm: MOST_DEPTH_M * 100 },
})

function moveFault(
  state: LotState,
  place: Extract<LotEvent, { kind: 'moved' }>['place'],
  ruleSet: RuleSet,
): LotFault | null {
  if ((place === 'bench' || place === 'freezer') && !isCold(state)) return notCold(state)
  if (place === 'freezer' && state.freezes > 0 && state.stage !== 'frozen')
    return { code: 'lot-frozen-once', values: {} }
  if (place !== 'bench' && state.outSinceMs !== null && state.place === 'bench') {
    const { coldC, returnWithinS } = HOLDING_LIMITS[ruleSet]
    const stayedCold = state.readings.some(
      (one) => one.doubt === null && one.atMs >= (state.outSinceMs ?? 0) && one.tempC <= coldC,
    )
    const isInTime = returnWithinS !== null && state.outS < returnWithinS
    if (!stayedCold && !isInTime)
      return { code: 'lot-not-back', values: { coldC, outMin: Math.round(state.outS / 60) } }
  }
  return null
}
