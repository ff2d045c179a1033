import type { BatchAmount } from '../book/scale'
import type { CheckedFood, CookLimit } from '../safety/limits'
import type { Handling } from './heat/parameters'

/** How far the flame is open. */
export const HEAT_LEVELS = ['off', 'low', 'medium', 'high', 'full'] as const
export type HeatLevel = (typeof HEAT_LEVELS)[number]

/** What a step does. */
export const ACTIONS = [
  'heatVessel',
  'oilIn',
  'eggIn',
  'eggOut',
  'proteinIn',
  'proteinOut',
  'baseIn',
  'riceIn',
  'dryIn',
  'eggWell',
  'sauceIn',
  'leavesIn',
  'bringBack',
  'wipe',
  'eggOnTop',
  'hotCheck',
  'finishOff',
  'takeOut',
  'finishOn',
  'pickUp',
  'eggAside',
  'baseOut',
  'checkCore',
  'turnRice',
  'leaveCrust',
  'butterIn',
  'warmIn',
  'lateIn',
  'flameOff',
  'taste',
  'lidOn',
  'riceOut',
  'tossTogether',
] as const
export type Action = (typeof ACTIONS)[number]

/** Signs by which a cook knows that a step is done. The interface has the words. */
export const CUES = [
  'firstSmoke',
  'oilShimmers',
  'eggSet',
  'eggFolded',
  'eggOnTopSet',
  'eggOnTopRunny',
  'noPink',
  'turnsOpaque',
  'fragrant',
  'softened',
  'tenderCrisp',
  'heatedThrough',
  'grainsJump',
  'crustForms',
  'spreadEven',
  'sizzlesDry',
  'metalClean',
  'wilted',
  'steamingThrough',
  'tossedThrough',
  'setApart',
  'plated',
  'golden',
  'butterFoams',
  'pressedFlat',
  'flameIsOut',
  'tastesRight',
] as const
export type Cue = (typeof CUES)[number]

/** Why a step is there, at this place. */
export const REASONS = [
  'hotMetalDoesNotStick',
  'oilKeepsOff',
  'eggFirstStaysApart',
  'eggOutStaysTender',
  'rawAloneNeedsItsTime',
  'marinadeScorchesInCompany',
  'outSoItDoesNotOvercook',
  'slowFirst',
  'aromaticsBurnSoon',
  'crispIsSoonDone',
  'pasteBlooms',
  'readyOnlyWarms',
  'riceNeedsDryHeat',
  'crustLeftAlone',
  'dryDissolvesFirst',
  'eggWellKeepsRiceDry',
  'sauceCaramelisesOnMetal',
  'sauceOffHeatStaysBright',
  'wipedSoItDoesNotBurn',
  'leavesWiltLast',
  'backToWarm',
  'eggOnOtherSurface',
  'riceMustBeHot',
  'offSoItStaysFresh',
  'declinedByGuest',
  'onlyWhoWantsIt',
  'forgottenNeedsItsCheck',
  'handOver',
  'eggGoesUnder',
  'eggInPassing',
  'eggAsideStaysWarm',
  'rawInCompany',
  'coreIsProven',
  'baseOutForRoom',
  'yolkCoatsGrains',
  'halfTimeStaysMoist',
  'pressedSoNoLumps',
  'butterBrownsLate',
  'lateSoItDoesNotBurn',
  'softGoesLate',
  'sauceTooCoolToBrown',
  'sauceIntoRice',
  'smellGoesLast',
  'flameOffForFinish',
  'saltCannotComeOut',
  'lidKeepsSteam',
  'itsFatFriesTheRest',
  'partsFryDry',
  'partsTasteAlike',
  'edgeChopsLumps',
  'masherOpensLumps',
  'woodSparesTheMetal',
] as const
export type Reason = (typeof REASONS)[number]

/** What can hurt somebody in a step. */
export const CAUTIONS = [
  'wokToSmoke',
  'oilNearSmoke',
  'wetIntoOil',
  'runnyEgg',
  'steamWhenWiped',
  'rawTools',
  'chilliVapour',
  'heavyWok',
  'lotNotRescued',
  'steamUnderLid',
  'bowlCools',
] as const
export type Caution = (typeof CAUTIONS)[number]

/** A check that waits for the cook's word whatever the clock says. */
export type SafetyCheck = { food: CheckedFood; limit: CookLimit }

/** What happens to a component in a step: it goes in, leaves to be set aside, comes back, or is added to the plate. */
export type Entry = BatchAmount & { motion: 'in' | 'out' | 'back' | 'plate' }

/** One step of a score: when, what goes in or out, at which heat. */
export type Step = {
  id: string
  action: Action
  startS: number
  durationS: number
  heat: HeatLevel
  entries: readonly Entry[]
  cue: Cue
  reason: Reason
  cautions: readonly Caution[]
  check: SafetyCheck | null
  /** A check that this batch does not stop for; the cook may answer it all the same. */
  offered?: SafetyCheck | undefined
  /** Portions taken out before something that their guests declined. */
  apart?: { portions: number; without: readonly string[] } | undefined
  /** What this step adds goes on so many portions only. */
  onPortions?: number | undefined
  /** Where the duration comes from: the heat model, or a house figure. */
  figure: (typeof FIGURES)[number]
  /** What the reason stands on, by name with its unit: `metalC`, `drySeconds`. */
  figures?: Readonly<Record<string, number>> | undefined
  /** Seconds in which the cook cannot do anything else. */
  handsOnS?: number | undefined
  /** The latest second at which the step may begin and everything still holds. */
  latestS?: number | undefined
  /** The station, or another surface beside it. */
  surface?: (typeof SURFACES)[number] | undefined
}
export const FIGURES = ['house', 'model'] as const
export const SURFACES = ['station', 'beside'] as const

/**
 * `rules-1` and `rules-2` took every duration from house figures; since `rules-2` a check is answered by a word of its own,
 * before, Done did. `heat-1` derives both from the heat of the station.
 */
export const ENGINES = ['rules-1', 'rules-2', 'heat-1'] as const

export const TOO_MUCH_CODES = ['tooFull', 'steams'] as const
export type TooMuch = (typeof TOO_MUCH_CODES)[number]
/** What a score was derived from besides the dish and the batch. */
export type ScoreBasis = {
  /** Version of the station; 0 is what is usual for its kind and power. */
  stationVersion: number
  handling: Handling
  riceTempC: number
  riceWaterFraction: number
  /** Lumps of rice that was not loosened [mm]; absent where there are none, or nobody said so. */
  riceLumpMm?: number | undefined
  /** The way that was chosen, school by school. */
  choice: Readonly<Record<string, string>>
  /** What the kitchen's own runs say of the station and the dish: the model's seconds take so many times as long. */
  learned?: number | undefined
  /** The batch is too much for the station: it is too full to work in, or steams. */
  warns: readonly TooMuch[]
}

/** A timed run at one station: steps without a gap from second 0. */
export type Score = {
  engine: (typeof ENGINES)[number]
  steps: readonly Step[]
  totalS: number
  riceMassG: number
  batchMassG: number
  /** Absent in scores by house figures. */
  basis?: ScoreBasis | undefined
}
