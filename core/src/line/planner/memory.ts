/**
 * The planner's memory: flat arrays at module level, written by `load` and read by everything else, since closures and objects
 * cost it more than half of its evaluations. One instance is planned at a time, from beginning to end, in one call.
 */

/** The most pieces, and batches, that are planned at once. */
export const MOST_PIECES = 1024

/** Regions of the solution `S`. A batch slot stands at `ORDER` once: the first `V[COUNT]` of them are the plan's batches. */
export const ORDER = 0
/** Regions lie a line of the processor's cache apart from a power of two, or what belongs together would push itself out. */
export const REGION = MOST_PIECES + 16
export const STATION = 1 * REGION
export const WASH = 2 * REGION
/** Not before this slot of the grid. */
export const DELAY = 3 * REGION
/** First piece of a batch, and the next after a piece; -1 ends. */
export const HEAD = 4 * REGION
export const NEXT = 5 * REGION
/** The batch that a piece is in. */
export const BATCH = 6 * REGION
/** Of a batch: the slot at which all its tickets have arrived, allergens in it and avoided by it, its dish. */
export const ARRIVED = 7 * REGION
export const CONTENTS = 8 * REGION
export const AVOIDS = 9 * REGION
export const DISH = 10 * REGION
/** Its times in slots: hands until `ON`, again from `BACK` to `BACK_END`, and up at `SPAN`. */
export const ON = 11 * REGION
export const BACK = 12 * REGION
export const BACK_END = 13 * REGION
export const SPAN = 14 * REGION
/** Number of batches. */
export const COUNT = 15 * REGION
/** Slots of hands that all batches take, without their set-ups. */
export const HANDS_SLOTS = COUNT + 1
export const SOLUTION_LENGTH = COUNT + 2

export const S = new Int32Array(SOLUTION_LENGTH)
/** Where each batch of the last decoded solution begins [slot]. */
export const START = new Int32Array(MOST_PIECES)

/** Of each piece. */
export const pieceN = new Float64Array(MOST_PIECES)
export const pieceTicket = new Int32Array(MOST_PIECES)
export const pieceDish = new Int32Array(MOST_PIECES)
export const pieceFamily = new Int32Array(MOST_PIECES)
export const pieceAvoids = new Int32Array(MOST_PIECES)
export const pieceContents = new Int32Array(MOST_PIECES)
export const pieceFinish = new Int32Array(MOST_PIECES)
export const pieceArrived = new Int32Array(MOST_PIECES)
export const pieceFree = new Float64Array(MOST_PIECES)
export const pieceMost = new Float64Array(MOST_PIECES)
/** The station that its batch was told at, or -1. */
export const pieceTold = new Int32Array(MOST_PIECES)

/** Of each ticket: its pieces stand together, frozen ones are counted out and stand in the first state. */
export const ticketFirst = new Int32Array(MOST_PIECES)
export const ticketPieces = new Int32Array(MOST_PIECES)
export const ticketAt = new Float64Array(MOST_PIECES)
export const ticketDue = new Float64Array(MOST_PIECES)
export const ticketWeight = new Float64Array(MOST_PIECES)
export const ticketIsTake = new Uint8Array(MOST_PIECES)
/** What a ticket costs at least, in any plan. */
export const ticketLeast = new Float64Array(MOST_PIECES)

export const MOST_STATIONS = 32
export const MOST_DISHES = 512
const MOST_KINDS = MOST_STATIONS
export const MOST_DOWN = 16
export const stationKind = new Int32Array(MOST_STATIONS)
/** Slots that a station is not there: pairs, and how many. */
export const downAt = new Int32Array(MOST_STATIONS * MOST_DOWN * 2)
export const downCount = new Int32Array(MOST_STATIONS)
/** Pieces of what each station was told, or -1 where nothing was. */
export const toldCount = new Int32Array(MOST_STATIONS)
/** Set-ups of a kind of station: same base, other, wash; in slots and in seconds. */
export const setUpSlots = new Int32Array(MOST_KINDS * 3)
export const setUpS = new Float64Array(MOST_KINDS * 3)
export const dishBase = new Int32Array(MOST_DISHES)
/** A dish that nobody orders any more: everything else is another dish after it. */
export const UNKNOWN_DISH = MOST_DISHES - 1
/** One number for dishes between which nothing is set up. */
export const dishSame = new Int32Array(MOST_DISHES)
export const dishSplitS = new Float64Array(MOST_DISHES)
/** By kind and dish: the most load, 0 where it cannot be fried; phases as (hands, a, b), `PHASES` of them. */
export const PHASES = 6
export const capAt = new Float64Array(MOST_KINDS * MOST_DISHES)
export const phaseAt = new Float64Array(MOST_KINDS * MOST_DISHES * PHASES * 3)
export const phaseCount = new Int32Array(MOST_KINDS * MOST_DISHES)

/** Weights in the order of `W_…`. */
export const weights = new Float64Array(12)
export const W_LATE = 0
export const W_LATE2 = 1
export const W_KNEE = 2
export const W_FLOW = 3
export const W_SPREAD = 4
export const W_HOLD = 5
export const W_SPOIL = 6
export const W_BATCH = 7
export const W_WASH = 8
export const W_HANDS = 9
export const W_GROWN = 10
export const W_CHANGED = 11

/** Sizes of the instance at hand. */
export const size = {
  pieces: 0,
  tickets: 0,
  stations: 0,
  hands: 1,
  gridS: 5,
  nowSlot: 0,
  originS: 0,
  frozenPoints: 0,
  leastPoints: 0,
}
