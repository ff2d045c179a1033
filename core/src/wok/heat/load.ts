import { conductivityWPerMK, heatCapacityJPerKgK, type ProximateComposition } from '../../physics/food'
import { FOOD_THERMAL } from './foodTable'
import type { FoodThermal, HeatFood } from './foods'
import { BED_CONDUCTIVITY_SHARE, MELT_J_PER_KG, WATER_J_PER_KGK } from './parameters'

/** Something that goes into the vessel; what is left out is taken from its class. */
export type FoodLoad = {
  food: HeatFood
  massG: number
  tempC: number
  /** Thickness of its pieces [mm]. */
  pieceMm?: number | undefined
  composition?: ProximateComposition | undefined
  /** Water by mass; stands over the composition's. */
  waterFraction?: number | undefined
  /** Of which free on the surface, by mass of the food. */
  freeFraction?: number | undefined
  isFrozen?: boolean | undefined
}

/** A load in the model's terms: what its heat, water and pieces are. */
export type Portion = {
  food: HeatFood
  thermal: FoodThermal
  dryKg: number
  /** Heat capacity of its dry matter [J/K]. */
  dryJPerK: number
  freeKg: number
  boundKg: number
  /** Water that it will give up [kg]. */
  givesUpKg: number
  tempC: number
  /** Heat that its ice still takes to melt [J]. */
  iceJ: number
  volumeM3: number
  /** Area that it would cover one piece deep, and that of all its pieces together [m²]. */
  layerM2: number
  piecesM2: number
  pieceM: number
  /** Conductivity of a piece and of the heap [W/m K]; density [kg/m³] and heat capacity [J/kg K] of the heap. */
  pieceWPerMK: number
  bedWPerMK: number
  bedKgPerM3: number
  bedJPerKgK: number
  /** Thermal diffusivity of a piece [m²/s]. */
  diffusivityM2PerS: number
}

/** Temperature at which properties are taken [°C]. */
const PROPERTIES_AT_C = 50
/** Share of the water that is ice at -18 °C. [M] */
const FROZEN_SHARE = 0.88
const PIECE_KG_PER_M3 = 1060
/** What is left of a liquid that has boiled away still has a temperature: heat capacity for each kilogram it had. */
const LEAST_J_PER_KGK = 50
/** Nor is any food all water: of broth and tap water a trace stays, so that what has boiled away is still dry, and not nothing. */
const LEAST_DRY_FRACTION = 1e-4

/**
 * What a load is to the model.
 * @throws {RangeError} when its mass, temperature, cut or water is not a number in its range
 */
export function portionOf(load: FoodLoad): Portion {
  const { food, massG, tempC } = load
  if (!(massG > 0 && massG < Infinity)) throw new RangeError(`massG ${massG} of ${food} is not above zero`)
  if (!(tempC >= -40 && tempC <= 100)) throw new RangeError(`tempC ${tempC} of ${food} is outside -40 to 100`)
  const thermal = FOOD_THERMAL[food]
  const pieceM = (load.pieceMm ?? thermal.pieceM * 1000) / 1000
  if (!(pieceM > 0 && pieceM < 1)) throw new RangeError(`pieceMm ${load.pieceMm} of ${food} is outside 0 to 1000`)
  const { capacityJPerKgK, conductivity, ...properties } = propertiesOf(
    load.composition ?? thermal.composition,
    load.waterFraction,
  )
  const water = Math.min(properties.water, 1 - LEAST_DRY_FRACTION)
  const massKg = massG / 1000
  const freeFraction = Math.min(load.freeFraction ?? freeFractionOf(food, thermal, water), water)
  const capacityJPerK = massKg * capacityJPerKgK
  const dryJPerK = Math.max(massKg * LEAST_J_PER_KGK, capacityJPerK - massKg * water * WATER_J_PER_KGK)
  const pieceWPerMK = conductivity
  const bedJPerKgK = capacityJPerK / massKg
  const volumeM3 = massKg / thermal.bulkKgPerM3
  return {
    food,
    thermal,
    dryKg: massKg * (1 - water),
    dryJPerK,
    freeKg: massKg * freeFraction,
    boundKg: massKg * (water - freeFraction),
    givesUpKg: massKg * Math.min(thermal.givesUpFraction, water - freeFraction),
    tempC,
    iceJ: load.isFrozen || tempC < -2 ? massKg * water * FROZEN_SHARE * MELT_J_PER_KG : 0,
    volumeM3,
    layerM2: volumeM3 / pieceM,
    // A slab has two faces to its thickness, a stick as much as four, a dice as much as six.
    piecesM2: ((thermal.shapeN - 4) * massKg) / PIECE_KG_PER_M3 / pieceM,
    pieceM,
    pieceWPerMK,
    bedWPerMK: (thermal.hasGaps ? BED_CONDUCTIVITY_SHARE : 1) * pieceWPerMK,
    bedKgPerM3: thermal.bulkKgPerM3,
    bedJPerKgK,
    diffusivityM2PerS: pieceWPerMK / (PIECE_KG_PER_M3 * bedJPerKgK),
  }
}

type Properties = { water: number; capacityJPerKgK: number; conductivity: number }
const propertiesBefore = new WeakMap<ProximateComposition, Map<number | undefined, Properties>>()
/** Rice is as wet as its lot: so many water contents of one food are remembered. */
const MOST_WATERS = 200

/** Water, heat capacity [J/kg K] and conductivity [W/m K] of a composition with its own water or another share, worked out once. */
function propertiesOf(composition: ProximateComposition, waterFraction: number | undefined): Properties {
  const byWater = propertiesBefore.get(composition) ?? new Map<number | undefined, Properties>()
  const known = byWater.get(waterFraction)
  if (known) return known
  const wet = withWater(composition, waterFraction)
  const properties = {
    water: wet.water ?? 0,
    capacityJPerKgK: heatCapacityJPerKgK(wet, PROPERTIES_AT_C),
    conductivity: conductivityWPerMK(wet, PROPERTIES_AT_C),
  }
  if (byWater.size >= MOST_WATERS) byWater.clear()
  byWater.set(waterFraction, properties)
  propertiesBefore.set(composition, byWater)
  return properties
}

/** Free water of rice against all its water: a day in the fridge leaves 1.2 % of 62 %, fresh from the pot 4.5 % of 68 %. */
const RICE_FREE = { atWater: 0.62, fraction: 0.012, perWater: 0.55, least: 0.002 } as const

/** Free water by mass where nobody gave it: of rice by how wet it is, of everything else by its class. */
const freeFractionOf = (food: HeatFood, thermal: FoodThermal, water: number): number =>
  food === 'rice'
    ? Math.max(RICE_FREE.least, RICE_FREE.fraction + RICE_FREE.perWater * (water - RICE_FREE.atWater))
    : thermal.freeFraction

/** A composition with another share of water; the dry matter keeps its proportions. */
function withWater(composition: ProximateComposition, waterFraction: number | undefined): ProximateComposition {
  if (waterFraction === undefined) return composition
  if (!(waterFraction >= 0 && waterFraction < 1))
    throw new RangeError(`waterFraction ${waterFraction} is outside 0 to 1`)
  const dry = 1 - (composition.water ?? 0)
  const scale = dry > 0 ? (1 - waterFraction) / dry : 0
  const scaled = Object.entries(composition).map(([name, share]) => [
    name,
    name === 'water' ? waterFraction : share * scale,
  ])
  return Object.fromEntries(scaled) as ProximateComposition
}
