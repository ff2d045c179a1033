/** Where each figure of what lies in the vessel stands, in one flat array that is changed from move to move. */
export const AT_S = 0
export const J_PER_K = 1
export const FREE_KG = 2
export const VOLUME_M3 = 3
export const LAYER_M2 = 4
export const OIL_KG = 5
export const SAUCE_KG = 6
/** Heat that the food still takes to the boil, and all that cold food ever took [J]; when the last cold food came [s]. */
export const OWED_J = 7
export const COLD_J = 8
export const COLD_AT_S = 9
/** When the rice went in [s]; -1 before. */
export const RICE_AT_S = 10
/** From here on: when each move began [s]. */
export const BEGAN_S = 11

const MOST_MOVES = 240
/** An empty vessel, in the array that every walk uses anew. */
export function emptyVessel(): Float64Array {
  VESSEL.fill(0, 0, BEGAN_S)
  VESSEL[RICE_AT_S] = -1
  return VESSEL
}
const VESSEL = new Float64Array(BEGAN_S + MOST_MOVES)
