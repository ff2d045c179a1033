import { cookTimes, type Blend, type Method } from '../cookMethod'
import { inOrderOfUse, type LotOnHand } from '../lot/allocate'
import type { LotState } from '../lot/lotState'

/** What a day is planned for, service by service. */
export type PlannedService = { portions: number; spread: number; portionG: number }
/** A day as planned: portions, spread, and the rice of a portion [g]. */
export type PlannedDay = { expected: number; spread: number; portionG: number }

/** A service with what the record expects of it. */
export type ServiceInput = {
  serviceId: string
  forecast: { expected: number; spread: number } | null
  portionG: number
}
/** What a person knows better than the record. */
export type PlanEdits = {
  portions: Readonly<Record<string, number>>
  event: { name: string; percent: number } | null
}

/**
 * A service as planned: the person's number where there is one (as sure as chance allows, √n), else what the record
 * expects, moved by a known event.
 */
export function plannedService({ serviceId, forecast, portionG }: ServiceInput, edits: PlanEdits): PlannedService {
  const own = edits.portions[serviceId]
  if (own !== undefined) return { portions: own, spread: Math.sqrt(own), portionG }
  const factor = 1 + (edits.event?.percent ?? 0) / 100
  const portions = (forecast?.expected ?? 0) * factor
  return { portions, spread: Math.max((forecast?.spread ?? 0) * factor, Math.sqrt(portions)), portionG }
}

/** The services of a day together; they miss independently of each other. */
export function plannedDay(services: readonly PlannedService[]): PlannedDay {
  const expected = services.reduce((sum, one) => sum + one.portions, 0)
  const riceG = services.reduce((sum, one) => sum + one.portions * one.portionG, 0)
  const meanG = services.reduce((sum, one) => sum + one.portionG, 0) / Math.max(1, services.length)
  return {
    expected,
    spread: Math.hypot(...services.map((one) => one.spread)),
    portionG: expected > 0 ? riceG / expected : meanG,
  }
}

/** A lot that counts towards a day's rice. */
export type LotForDay = Omit<LotOnHand, 'stage'> & { stage: LotOnHand['stage'] | 'cooling' | 'chilling' }

/** A load that is cooking. */
export type LoadOnHeat = { vesselId: string; method: Method; blend: Blend; dryMassG: number; waterG: number }

/** What a load on the heat will weigh [g], by what its vessel loses as steam. */
export function loadToComeG({ method, blend, dryMassG, waterG }: LoadOnHeat, steamGPerMin: number): number {
  const { cookMin, restMin } = cookTimes(method, blend)
  return Math.max(0, dryMassG + waterG - steamGPerMin * (cookMin + restMin))
}

/** A lot as the plan counts it: a load on the heat by what it will weigh; null for what is no use to a later day. */
export function lotForDay(
  { id, name, load }: { id: string; name: string; load: LoadOnHeat | null },
  { stage, massG, useByMs, cookedAtMs }: Pick<LotState, 'stage' | 'massG' | 'useByMs' | 'cookedAtMs'>,
  vessels: readonly { id: string; steamGPerMin: number }[],
): LotForDay | null {
  if (stage === 'cooking' && load) {
    const steamGPerMin = vessels.find((one) => one.id === load.vesselId)?.steamGPerMin ?? 0
    const toComeG = loadToComeG(load, steamGPerMin)
    return { id, name, stage: 'cooling', massG: toComeG, useByMs: Infinity, cookedAtMs: Infinity }
  }
  if (stage !== 'ready' && stage !== 'tempering' && stage !== 'cooling' && stage !== 'chilling') return null
  return { id, name, stage, massG, useByMs: useByMs ?? 0, cookedAtMs: cookedAtMs ?? 0 }
}

/** What is left for a later day [g] when tonight takes the oldest first: of lots that may still be used at its end. */
export function leftForDay(lots: readonly LotForDay[], tonightG: number, dayEndMs: number): number {
  const isCold = (lot: LotForDay): lot is LotOnHand => lot.stage === 'ready' || lot.stage === 'tempering'
  let openG = tonightG
  const cold = inOrderOfUse(lots.filter(isCold)).map((lot) => {
    const takenG = Math.min(openG, lot.massG)
    openG -= takenG
    return { ...lot, massG: lot.massG - takenG }
  })
  return [...cold.filter((lot) => lot.stage === 'ready'), ...lots.filter((lot) => !isCold(lot))]
    .filter((lot) => lot.useByMs >= dayEndMs)
    .reduce((sum, lot) => sum + lot.massG, 0)
}
