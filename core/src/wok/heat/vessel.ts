import { AIR_C, BARE_METAL, STEEL, STEFAN_BOLTZMANN } from './parameters'

/** What heats a station. */
export const HEAT_SOURCES = ['gas', 'induction', 'plate'] as const
export type HeatSource = (typeof HEAT_SOURCES)[number]

/** A station as its plate and a tape measure give it. */
export type HeatStation = {
  kind: 'wok' | 'pan' | 'pot' | 'griddle'
  /** Across the rim; for a griddle zone null. */
  diameterM: number | null
  /** Of a griddle zone; null for everything round. */
  plateM: { width: number; length: number } | null
  /** Of a wok or pan at its deepest; null takes what is usual for its size. */
  depthM: number | null
  massKg: number
  powerW: number
  /** Share of the power that reaches cold metal. */
  efficiency: number
  source: HeatSource
  /** Ceiling that the cook or a sensor holds [°C]. */
  holdC: number
  /** Share of a wok's metal that the flame heats, where it was calibrated. */
  zoneShare?: number | null | undefined
  /** How well the food touches the metal here against the usual, where it was calibrated. */
  contact?: number | null | undefined
  /** What is tossed here at most, vessel and food together [kg]; null takes what is usual. */
  liftKg?: number | null | undefined
  /** A coating that neither metal tools nor an empty vessel on the flame would leave whole. */
  isCoated?: boolean | undefined
}

/** What a non-stick coating bears [°C]: makers' usual limit, from memory. */
export const COATING_MOST_C = 260

/**
 * A station in the model's terms. Node A is the metal under the flame where food lies; node B is the rim of a pan, or the
 * lower half of a griddle's plate.
 */
export type Vessel = {
  shape: 'cap' | 'flat'
  isGriddle: boolean
  hasFlame: boolean
  netW: number
  holdC: number
  contact: number
  /** Share of the heat that enters A; the rest enters B. */
  shareA: number
  capacityAJPerK: number
  capacityBJPerK: number
  /** Of A where food lies, and of B that food may cover [m²]. */
  areaAM2: number
  areaBM2: number
  /** Of B that always loses heat, on its outer side [m²]. */
  outsideBM2: number
  conductanceWPerK: number
  emissivity: number
  /** Radius of the sphere that a wok is a cap of [m]. */
  sphereM: number
  /** What fits to the rim, and how much of it can be worked [m³]. */
  volumeM3: number
  workableM3: number
}

/** Depth against diameter of a wok; sides of a pan and a pot [m or share]; common practice. */
const WOK_DEPTH_SHARE = 0.28
const PAN_SIDE_M = 0.06
const POT_DEPTH_SHARE = 0.6
/** Bottom of a pan against its rim. */
const PAN_BOTTOM_SHARE = 0.8
/** How much of the volume can be worked; a griddle takes a heap so deep [m]. Common practice. */
const WORKABLE = { wok: 0.4, pan: 0.75, pot: 0.6 } as const
const GRIDDLE_HEAP_M = 0.045
/** Share of a wok's metal in the zone of the flame or coil, and share of the heat that enters it. [C] */
const ZONE = {
  gas: { metal: 0.5, heat: 0.8 },
  plate: { metal: 0.5, heat: 0.9 },
  induction: { metal: 0.35, heat: 1 },
} as const

const vesselsBefore = new WeakMap<HeatStation, Vessel>()

/** The vessel of a station, the same one for the same station, so that what was worked out of it stays. */
export function sameVesselOf(station: HeatStation): Vessel {
  const vessel = vesselsBefore.get(station) ?? vesselOf(station)
  vesselsBefore.set(station, vessel)
  return vessel
}

/**
 * The vessel of a station.
 * @throws {RangeError} when a measure is missing, not finite or not above zero
 */
export function vesselOf(station: HeatStation): Vessel {
  for (const [name, value] of [
    ['massKg', station.massKg],
    ['powerW', station.powerW],
    ['efficiency', station.efficiency],
    ['holdC', station.holdC],
    ['zoneShare', station.zoneShare ?? 0.5],
    ['contact', station.contact ?? 1],
  ] as const)
    if (!(value > 0 && value < Infinity)) throw new RangeError(`${name} ${value} is not above zero`)
  if (station.kind === 'griddle') return griddle(station)
  return station.kind === 'wok' ? wok(station) : flatPan(station)
}

const common = (station: HeatStation) => ({
  hasFlame: station.source === 'gas',
  netW: station.powerW * station.efficiency,
  holdC: station.holdC,
  contact: station.contact ?? 1,
})

function griddle(station: HeatStation): Vessel {
  const plate = station.plateM
  if (!plate || !(plate.width > 0 && plate.length > 0))
    throw new RangeError('a griddle needs the measures of its plate')
  const areaM2 = plate.width * plate.length
  const thickM = station.massKg / (STEEL.densityKgPerM3 * areaM2)
  const capacity = (station.massKg * STEEL.heatCapacityJPerKgK) / 2
  return {
    ...common(station),
    shape: 'flat',
    isGriddle: true,
    hasFlame: false,
    shareA: 0,
    capacityAJPerK: capacity,
    capacityBJPerK: capacity,
    areaAM2: areaM2,
    areaBM2: 0,
    outsideBM2: 0,
    conductanceWPerK: (STEEL.conductivityWPerMK * areaM2) / (thickM / 2),
    emissivity: BARE_METAL.griddleEmissivity,
    sphereM: 0,
    volumeM3: areaM2 * GRIDDLE_HEAP_M,
    workableM3: areaM2 * GRIDDLE_HEAP_M,
  }
}

function wok(station: HeatStation): Vessel {
  const radiusM = roundM(station) / 2
  const depthM = station.depthM ?? WOK_DEPTH_SHARE * 2 * radiusM
  if (!(depthM > 0 && depthM <= radiusM)) throw new RangeError(`depthM ${depthM} does not fit a wok of that diameter`)
  const sphereM = (radiusM * radiusM + depthM * depthM) / (2 * depthM)
  const areaM2 = 2 * Math.PI * sphereM * depthM
  const volumeM3 = (Math.PI * depthM * depthM * (3 * sphereM - depthM)) / 3
  const zone = { heat: ZONE[station.source].heat, metal: station.zoneShare ?? ZONE[station.source].metal }
  const thickM = station.massKg / (STEEL.densityKgPerM3 * areaM2)
  const edgeHeightM = zone.metal * depthM
  const edgeRadiusM = Math.sqrt(2 * sphereM * edgeHeightM - edgeHeightM * edgeHeightM)
  const arcM = sphereM * Math.asin(radiusM / sphereM)
  const capacity = station.massKg * STEEL.heatCapacityJPerKgK
  return {
    ...common(station),
    shape: 'cap',
    isGriddle: false,
    shareA: zone.heat,
    capacityAJPerK: zone.metal * capacity,
    capacityBJPerK: (1 - zone.metal) * capacity,
    areaAM2: zone.metal * areaM2,
    areaBM2: (1 - zone.metal) * areaM2,
    outsideBM2: (1 - zone.metal) * areaM2,
    conductanceWPerK: (STEEL.conductivityWPerMK * thickM * 2 * Math.PI * edgeRadiusM) / (arcM / 2),
    emissivity: BARE_METAL.emissivity,
    sphereM,
    volumeM3,
    workableM3: WORKABLE.wok * volumeM3,
  }
}

function flatPan(station: HeatStation): Vessel {
  const rimM = roundM(station)
  const isPot = station.kind === 'pot'
  const bottomM = isPot ? rimM : PAN_BOTTOM_SHARE * rimM
  const sideM = station.depthM ?? (isPot ? POT_DEPTH_SHARE * rimM : PAN_SIDE_M)
  if (!(sideM > 0)) throw new RangeError(`depthM ${sideM} is not above zero`)
  const bottomM2 = (Math.PI * bottomM * bottomM) / 4
  const sideM2 = (Math.PI * (bottomM + rimM) * sideM) / 2
  const metal = bottomM2 / (bottomM2 + sideM2)
  const thickM = station.massKg / (STEEL.densityKgPerM3 * (bottomM2 + sideM2))
  const capacity = station.massKg * STEEL.heatCapacityJPerKgK
  const volumeM3 = (Math.PI * sideM * (bottomM * bottomM + bottomM * rimM + rimM * rimM)) / 12
  return {
    ...common(station),
    shape: 'flat',
    isGriddle: false,
    shareA: ZONE[station.source].heat,
    capacityAJPerK: metal * capacity,
    capacityBJPerK: (1 - metal) * capacity,
    areaAM2: bottomM2,
    areaBM2: sideM2,
    outsideBM2: sideM2,
    conductanceWPerK: (STEEL.conductivityWPerMK * thickM * Math.PI * bottomM) / (bottomM / 4 + sideM / 2),
    emissivity: BARE_METAL.emissivity,
    sphereM: 0,
    volumeM3,
    workableM3: (isPot ? WORKABLE.pot : WORKABLE.pan) * volumeM3,
  }
}

function roundM({ kind, diameterM }: HeatStation): number {
  if (diameterM === null || !(diameterM > 0 && diameterM < Infinity))
    throw new RangeError(`a ${kind} needs its diameter`)
  return diameterM
}

/** Loss of bare metal [W/m²] to the kitchen. */
export function bareMetalWPerM2(tempC: number, emissivity: number): number {
  const kelvin = tempC + 273.15
  const air = AIR_C + 273.15
  return (
    BARE_METAL.airWPerM2K * (tempC - AIR_C) +
    emissivity * STEFAN_BOLTZMANN * (kelvin * kelvin * kelvin * kelvin - air * air * air * air)
  )
}

/** A heap in a vessel: the metal it covers, its free surface [m²] and its depth [m]. */
export type Heap = { coversM2: number; surfaceM2: number; depthM: number }

/** How a volume of food lies, where `layerM2` is what it would cover one piece deep and `spread` its share of a griddle. */
export function heapOf(vessel: Vessel, volumeM3: number, layerM2: number, spread: number): Heap {
  if (volumeM3 <= 0) return { coversM2: 0, surfaceM2: 0, depthM: 0 }
  if (vessel.shape === 'flat') {
    const coversM2 = Math.min(vessel.isGriddle ? spread * vessel.areaAM2 : vessel.areaAM2, layerM2)
    return { coversM2, surfaceM2: coversM2, depthM: volumeM3 / coversM2 }
  }
  const heightM = capHeightM(vessel.sphereM, volumeM3)
  const coversM2 = Math.min(2 * Math.PI * vessel.sphereM * heightM, layerM2, vessel.areaAM2 + vessel.areaBM2)
  const surfaceM2 = Math.min(Math.PI * heightM * (2 * vessel.sphereM - heightM), coversM2)
  return { coversM2, surfaceM2, depthM: volumeM3 / coversM2 }
}

/** How high food of this volume stands [m]. */
export const heightM = (vessel: Vessel, volumeM3: number): number =>
  vessel.shape === 'cap' ? capHeightM(vessel.sphereM, volumeM3) : volumeM3 / vessel.areaAM2

/** Half the width of the vessel at a height above its bottom [m]; a pan's slanted side is drawn upright. */
export const halfWidthM = (vessel: Vessel, atM: number): number =>
  vessel.shape === 'cap'
    ? Math.sqrt(Math.max(0, 2 * vessel.sphereM * atM - atM * atM))
    : vessel.isGriddle
      ? Math.sqrt(vessel.areaAM2) / 2
      : Math.sqrt(vessel.areaAM2 / Math.PI)

/** Height of a cap of this volume in a sphere: V = pi h² (3R - h) / 3, by Newton from below its root. */
function capHeightM(sphereM: number, volumeM3: number): number {
  if (volumeM3 >= (4 / 3) * Math.PI * sphereM ** 3) return 2 * sphereM
  let heightM = Math.min(sphereM, Math.sqrt(volumeM3 / (Math.PI * sphereM)))
  for (let pass = 0; pass < 6; pass += 1) {
    const over = (Math.PI * heightM * heightM * (3 * sphereM - heightM)) / 3 - volumeM3
    heightM -= over / (Math.PI * heightM * (2 * sphereM - heightM))
  }
  return heightM
}
