/** What a kitchen consists of, as far as it was entered: counts of things. */
export type KitchenParts = {
  owners: number
  /** Cooks, leads and owners who can sign in. */
  cooks: number
  stations: number
  /** Stations whose plate was given or calibrated. */
  stationsWithPlate: number
  vessels: number
  /** Fridges and freezers. */
  coldPlaces: number
  ladles: number
  dishes: number
  lots: number
  waves: number
  instruments: number
  /** Prep shifts of all people. */
  shifts: number
}

/** Steps of a first kitchen, in the order in which they are offered; any may be left for later. */
export const FIRST_STEPS = [
  'name',
  'station',
  'plate',
  'vessel',
  'fridge',
  'tools',
  'instruments',
  'people',
  'prep',
  'waves',
  'dish',
  'rice',
] as const
export type FirstStep = (typeof FIRST_STEPS)[number]

/** What works already. */
export const WORKS = [
  'timedDish',
  'largestBatch',
  'measuredBatch',
  'coolingRice',
  'portions',
  'ladles',
  'instruments',
  'mise',
  'plan',
] as const
export type Works = (typeof WORKS)[number]

export type FirstKitchen = {
  steps: readonly { step: FirstStep; isDone: boolean; isNeeded: boolean }[]
  works: readonly Works[]
  /** Whether a first dish can be fired. */
  canCook: boolean
}

/**
 * How far a first kitchen is: which steps are done, which it cannot cook without, and what works already.
 * @param parts counts of what was entered
 */
export function firstKitchen(parts: KitchenParts): FirstKitchen {
  const isDone: Readonly<Record<FirstStep, boolean>> = {
    name: parts.owners > 0,
    station: parts.stations > 0,
    plate: parts.stations > 0 && parts.stationsWithPlate === parts.stations,
    vessel: parts.vessels > 0,
    fridge: parts.coldPlaces > 0,
    tools: parts.ladles > 0,
    instruments: parts.instruments > 0,
    people: parts.cooks > 1,
    prep: parts.shifts > 0,
    waves: parts.waves > 0,
    dish: parts.dishes > 0,
    rice: parts.lots > 0,
  }
  const needed: readonly FirstStep[] = ['name', 'station', 'dish']
  const works: Readonly<Record<Works, boolean>> = {
    timedDish: isDone.station && isDone.dish,
    largestBatch: isDone.station && !isDone.plate,
    measuredBatch: isDone.plate,
    coolingRice: isDone.vessel && isDone.fridge,
    portions: isDone.rice,
    ladles: isDone.tools,
    instruments: isDone.instruments,
    mise: isDone.prep && isDone.dish,
    plan: isDone.station && isDone.dish && isDone.waves,
  }
  return {
    steps: FIRST_STEPS.map((step) => ({ step, isDone: isDone[step], isNeeded: needed.includes(step) })),
    works: WORKS.filter((one) => works[one]),
    canCook: needed.every((step) => isDone[step]),
  }
}
