import { heatCapacityJPerKgK } from '../../physics/food'
import { FOOD_THERMAL } from '../heat/foodTable'
import { MELT_J_PER_KG } from '../heat/parameters'
import type { Vessel } from '../heat/vessel'
import { portionFor, type WokComponent } from './component'
import { softSeconds } from './place'

/** Rates for the estimate are taken at this temperature [°C]. */
const AT_C = 88
/** Seconds of aromatics: they are over before heat counts. [C] */
const QUICK_S: Readonly<Record<string, number>> = { garlic: 25, ginger: 25, paste: 35, herb: 8 }
/** Metal gives its own heat first, down by so much [K]; then the flame has to bring it, with so much lost. [C] */
const METAL_GIVES_K = 16
const FLAME_REACHES = 0.55
/** Most heat that a layer takes up [W/m²]. [C] */
const LAYER_W_PER_M2 = 28_600

/**
 * Seconds that a component needs alone in the vessel, estimated before anything is simulated: heat by flame or by layer,
 * then softening at 88 °C, then the core's lag. Error: tens of per cent; it only orders and groups.
 */
export function needS(one: WokComponent, vessel: Vessel): number {
  const quick = one.place === 'quick' || one.place === 'paste' ? QUICK_S[one.food] : undefined
  if (quick !== undefined) return quick
  const { layerM2, pieceM, thermal, diffusivityM2PerS } = portionFor(one)
  const { composition } = FOOD_THERMAL[one.food]
  const massKg = one.massG / 1000
  const energyJ =
    massKg *
    (heatCapacityJPerKgK(composition, 50) * (AT_C - one.tempC) +
      (one.isFrozen ? (composition.water ?? 0) * MELT_J_PER_KG : 0))
  const area = Math.max(1e-4, Math.min(0.5 * vessel.areaAM2, layerM2))
  const heatS = Math.max(
    (energyJ - METAL_GIVES_K * vessel.capacityAJPerK) / (FLAME_REACHES * vessel.netW),
    energyJ / (LAYER_W_PER_M2 * area),
  )
  const lagS = (pieceM * pieceM) / 4 / (thermal.shapeN * diffusivityM2PerS)
  const isSoftened = one.target === 'softened' || one.target === 'tenderCrisp' || one.target === 'wilted'
  return heatS + (isSoftened || one.target === 'fragrant' ? softSeconds(one.food, one.goal) : 0) + lagS
}
