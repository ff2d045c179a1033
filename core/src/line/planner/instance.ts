/** What a second late, a hold or a wash costs, in points: 1 is one second late of a ticket of weight 1. */
export type LineWeights = {
  late: number
  /** A second slope, from `knee` seconds on: one table does not pay for all. */
  late2: number
  knee: number
  /** A second from the order to the pass. */
  flow: number
  /** A second between the first and the last piece of a ticket. */
  spread: number
  /** A second longer than a dish holds freely, for a portion. */
  hold: number
  /** A second longer than it holds at all, for a portion. */
  spoil: number
  batch: number
  wash: number
  /** A second of a cook's hands. */
  hands: number
  /** The batch that was told as next has grown, or is another. */
  grown: number
  changed: number
}

/** Points of the house until it weighs them otherwise. House judgement. */
export const USUAL_WEIGHTS: LineWeights = {
  late: 1,
  late2: 1,
  knee: 300,
  flow: 0.05,
  spread: 0.2,
  hold: 0.3,
  spoil: 3,
  batch: 10,
  wash: 20,
  hands: 0.05,
  grown: 10,
  changed: 60,
}

/** A part of a batch's time: `a + b · load` seconds, with the cook's hands or without. */
export type LinePhase = { hands: boolean; a: number; b: number }
/** A dish on a kind of station: the most load of a batch, and its phases. */
export type DishOn = { cap: number; phases: readonly LinePhase[] }
/**
 * What a guest may change. `never` is cooked in: portions with it are a family of their own; `late` is decided at the end.
 * `removes` are allergens that are then not in it.
 */
export type LineModifier = { merge: 'never' | 'late'; removes?: readonly string[] | undefined }

export type LineDish = {
  id: string
  /** The dish that it is to the metal, where it is one of several forms of a dish: nothing is set up between them. */
  sameAs?: string | undefined
  base: string
  allergens: readonly string[]
  /** It holds so long freely, and at most so long [s]. */
  free: number
  max: number
  on: Readonly<Record<string, DishOn>>
  mods: Readonly<Record<string, LineModifier>>
  /** Hands for each further way of finishing a batch [s]. */
  split: number
  /** What of the stock a load of 1 takes. */
  uses: Readonly<Record<string, number>>
}

/** One name for the forms of a dish between which nothing is set up. */
export const sameDish = ({ id, sameAs }: Pick<LineDish, 'id' | 'sameAs'>): string => sameAs ?? id

/** What fried at a station since its last wash left there; no dish where the metal was brushed since: no set-up, but its residue. */
export type Residue = { dish: string | null; residue: readonly string[] }
export type LineStation = {
  id: string
  kind: string
  from: number
  down: readonly (readonly [number, number])[]
  /** Null for a clean one. */
  last: Residue | null
}

export type LineItem = { id: string; dish: string; n: number; mods: readonly string[]; avoid: readonly string[] }
export type LineTicket = {
  id: string
  at: number
  due: number
  kind: 'dine' | 'take'
  w: number
  items: readonly LineItem[]
}

/** A batch that is being fried, or whose set-up began: nothing changes it; `late` lengthens its end [s]. */
export type FrozenBatch = {
  station: string
  start: number
  wash: boolean
  parts: readonly string[]
  late?: number | undefined
}
/** The batch that a station's cook was shown as next. */
export type ToldBatch = { station: string; parts: readonly string[] }

/** Everything a plan is made from. Seconds, and loads where 1 is a main portion. */
export type LineInstance = {
  id: string
  /** Starts are multiples of it [s]. */
  grid: number
  now: number
  /** Pairs of hands. */
  hands: number
  /** What waits in a box holds so much longer [s]. */
  boxExtra: number
  weights: LineWeights
  setup: Readonly<Record<string, { base: number; other: number; wash: number }>>
  stations: readonly LineStation[]
  dishes: readonly LineDish[]
  tickets: readonly LineTicket[]
  stock: Readonly<Record<string, number>>
  frozen: readonly FrozenBatch[]
  told: readonly ToldBatch[]
}

/** A batch of the plan: food goes in at `start`, when its set-up ends; `cooks` by each time that it takes hands. */
export type LineBatch = {
  station: string
  start: number
  wash: boolean
  parts: readonly string[]
  cooks: readonly number[]
}
export type LineSchedule = {
  instance: string
  /** Items that the stock does not give. */
  gone: readonly string[]
  batches: readonly LineBatch[]
}
