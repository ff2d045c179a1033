import type { State } from '../book/dish'
import type { Food } from '../book/food'
import type { HeatLevel } from './score'

/**
 * House figures for durations [s] at a restaurant flame, until the station's own are known. They are common practice
 * (garlic 20–30 s, onion 20 s–2 min, fine dice 2 min, 13 mm shrimp 2–3 min, thin chicken 1–2 min a side, rice 1–4 min,
 * leaves 30 s, scallion 10 s), taken at the quick end, and every step made from them says so.
 */
export const HOUSE_S = {
  heatWok: 30,
  heatGriddle: 20,
  oilIn: 5,
  eggBase: 14,
  eggPerG: 0.08,
  takeOut: 6,
  eggWellBase: 18,
  eggOnTop: 60,
  readyProtein: 45,
  riceBase: 75,
  riceCrust: 45,
  ricePerG: 0.06,
  drySeasoning: 10,
  liquidSeasoning: 20,
  leaf: 30,
  returns: 12,
  wipe: 8,
  hotCheck: 10,
  finish: 10,
  pickUp: 12,
} as const

/** Largest seconds of a step that grows with the batch: common practice tops out here. */
export const HOUSE_MAX_S = { egg: 45, rice: 240 } as const

/** Rice mass [g] up to which the base time holds. */
export const RICE_BASE_G = 220

/** Seconds until done in the base, in company, by food. */
export const BASE_S: Readonly<Partial<Record<Food, number>>> = {
  garlic: 20,
  ginger: 20,
  herb: 10,
  allium: 40,
  paste: 30,
  hardVeg: 75,
  stem: 60,
  crispVeg: 40,
  mushroom: 60,
  readyVeg: 25,
  tofu: 40,
  nut: 10,
}

/** A raw protein alone in the vessel [s], at the cut given [mm]. */
export const RAW_PROTEIN_S: Readonly<Partial<Record<Food, { seconds: number; cutMm: number }>>> = {
  seafood: { seconds: 100, cutMm: 13 },
  poultry: { seconds: 110, cutMm: 5 },
  meat: { seconds: 90, cutMm: 5 },
  mince: { seconds: 90, cutMm: 5 },
  egg: { seconds: 60, cutMm: 5 },
}

/** How much longer or shorter a cut may make a raw protein. */
export const CUT_FACTOR_RANGE = { least: 0.6, most: 2 } as const

/** What a state does to the base time: blanched only warms, frozen takes heat and water first. */
export const STATE_FACTOR: Readonly<Partial<Record<State, number>>> = { blanched: 0.4, cooked: 0.6, frozen: 1.4 }

/** Share of the oil that goes in at the first oiling when the vessel is oiled twice. */
export const FIRST_OIL_SHARE = 0.5

/** Heat by school and part of the run. */
export const SCHOOL_HEAT: Readonly<
  Record<'mediumThenHigh' | 'full', Readonly<Record<'egg' | 'own' | 'base' | 'rice' | 'late' | 'return', HeatLevel>>>
> = {
  mediumThenHigh: { egg: 'high', own: 'high', base: 'medium', rice: 'full', late: 'full', return: 'high' },
  full: { egg: 'full', own: 'full', base: 'full', rice: 'full', late: 'full', return: 'full' },
}
