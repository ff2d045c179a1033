/**
 * Parameters of the heat model. Marks: [M] a textbook value from memory, not looked up; [C] chosen by hand until common
 * practice came out (the bands of the tests). A kitchen calibrates a station's efficiency and its contact; nothing else.
 */
export const STEEL = { heatCapacityJPerKgK: 500, conductivityWPerMK: 45, densityKgPerM3: 7850 } as const // [M] Incropera

/** Temperature of a gas flame [°C]: what the metal gets falls with its own temperature. [C] */
export const FLAME_C = 1200
/** Over so many kelvin below its ceiling the cook's valve, or the coil's sensor, closes. [C] */
export const CEILING_BAND_K = 8
/** The kitchen's air [°C] and its vapour [Pa], half saturated. */
export const AIR_C = 25
export const AIR_VAPOUR_PA = 1585

/** Loss of bare metal: by air [W/m² K] and by its emissivity. [M] */
export const BARE_METAL = { airWPerM2K: 10, emissivity: 0.85, griddleEmissivity: 0.6 } as const
export const STEFAN_BOLTZMANN = 5.670374419e-8

/** Metal to food [W/m² K]: dry grains, with oil between, with water between. [C], order of magnitude of Schlünder [M] */
export const CONTACT = { dryWPerM2K: 170, oilWPerM2K: 170, wetWPerM2K: 1200 } as const
/** Oil that fills the gaps [kg/m²]. [C] */
export const OIL_FULL_KG_PER_M2 = 0.15
/** Free water by mass at which half the contact is wet. [C] */
export const HALF_WET_FRACTION = 0.02
/** Where drops begin to float on their steam, where they float, and what contact is left (Leidenfrost). [M] */
export const FLOATING = { fromC: 160, fullC: 230, leaves: 0.2 } as const

/** Free water that one packet of food brings to the metal: share of it, and how deep the packet is [m]. [C] */
export const PACKET = { share: 0.3, depthM: 0.0025 } as const
/** Conductivity of a bed of pieces against the food without pores. [M] */
export const BED_CONDUCTIVITY_SHARE = 0.5

/** Air on a still heap [W/m² K]; depth in which steam is caught [m]. [C] */
export const SURFACE = { airWPerM2K: 12, catchDepthM: 0.02 } as const
/** Steam no longer condenses in food this near to the boil [K]. [C] */
export const CATCH_BELOW_BOIL_K = 25
/** hm = h / (rho cp Le^2/3) of air [J/m³ K]. [M] */
export const LEWIS_J_PER_M3K = 990

/** Free water evens out between components at this rate [1/s]; food above the boil loses its surplus at this one. [C] */
export const SPREAD_PER_S = 0.03
export const BULK_BOIL_PER_S = 0.5
/** Ice melts at this rate of the food's heat above 0 °C [1/s]. [C] */
export const MELT_PER_S = 0.15

/** Sauce on bare metal: largest share of the contact zone, its depth [kg/m²], heat [W/m² K], time to drain [s]. [C] */
export const SAUCE_FILM = { mostShare: 0.25, kgPerM2: 0.4, wPerM2K: 2500, drainS: 6 } as const

export const WATER_J_PER_KGK = 4180
export const BOIL_C = 100
/** Heat of evaporation at the boil [J/kg]; steam table, from memory. */
export const BOIL_J_PER_KG = 2_256_500
/** Heat of melting of ice [J/kg]; steam table, from memory. */
export const MELT_J_PER_KG = 333_500

/** How the food is moved. */
export const HANDLINGS = ['toss', 'stir', 'press', 'leave', 'flip', 'cover'] as const
export type Handling = (typeof HANDLINGS)[number]
export type Movement = {
  /** Time for which a packet lies on the metal [s]. */
  contactS: number
  /** Share of the covered metal that is touched. */
  contactShare: number
  /** Contact against that of food that lies by its own weight. */
  pressed: number
  /** Surface that gives off steam against that of the heap, and air over it against still air. */
  surface: number
  air: number
  /** Share of the contact steam that a deep cold heap catches; under a lid it comes back to a shallow one too. */
  caught: number
  hasLid: boolean
  /** Share of a griddle zone over which the food is spread. */
  spread: number
  /** It lies still most of the time. */
  isStill: boolean
}
/** [C] throughout: common practice is that a tossed pan fries drier than a stirred one. */
const LEFT: Movement = {
  contactS: 30,
  contactShare: 0.95,
  pressed: 1,
  surface: 1,
  air: 1,
  caught: 0.7,
  hasLid: false,
  spread: 0.7,
  isStill: true,
}
/** [C] throughout: common practice is that a tossed pan fries drier than a stirred one, and that a lid steams. */
export const MOVEMENT: Readonly<Record<Handling, Movement>> = {
  toss: { ...LEFT, contactS: 0.5, contactShare: 0.55, surface: 3, air: 2, caught: 0.4, spread: 0.6, isStill: false },
  stir: { ...LEFT, contactS: 1.5, contactShare: 0.7, surface: 1.6, air: 1.2, isStill: false },
  press: { ...LEFT, contactS: 20, contactShare: 1, pressed: 1.6 },
  leave: LEFT,
  flip: { ...LEFT, contactS: 12, contactShare: 0.85, surface: 1.3, air: 1.1 },
  cover: { ...LEFT, air: 0.1, caught: 0.9, hasLid: true },
}

/** Rice and food are hot from here on [°C]: the model's own mark for a batch, no limit of a rule set. Common practice. */
export const HOT_C = 74

/** Metal below this steams instead of frying [°C]. Common practice. */
export const LEAST_METAL_C = 140
