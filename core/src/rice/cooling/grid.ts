/** Cells from bottom to top [m], and the steps in time: from the first, which each change of place starts again, to the most. */
export type Grid = { widthsM: readonly number[]; firstStepS: number; mostStepS: number }

const FIRST_STEP_S = 5
const MAX_STEP_S = 120
const TOP_CELL_M = 0.0002
const GROWTH = 1.4
const MAX_CELL_M = 0.00175
const MIN_CELLS = 12

/** Equal cells. */
export function evenGrid(depthM: number, cells: number, firstStepS = FIRST_STEP_S, mostStepS = MAX_STEP_S): Grid {
  return { widthsM: Array.from({ length: cells }, () => depthM / cells), firstStepS, mostStepS }
}

/** Fine where rice dries, the top millimetre, then even; `finer` divides every cell. */
export function usualGrid(depthM: number, finer = 1): Grid {
  const mostM = Math.min(MAX_CELL_M, depthM / MIN_CELLS)
  const top: number[] = []
  let takenM = 0
  for (let width = TOP_CELL_M; width < mostM; width *= GROWTH) {
    top.push(width)
    takenM += width
  }
  const even = Math.ceil((depthM - takenM) / mostM)
  const widths = [...Array.from({ length: even }, () => (depthM - takenM) / even), ...top.reverse()]
  const widthsM = widths.flatMap((width) => Array.from({ length: finer }, () => width / finer))
  return { widthsM, firstStepS: FIRST_STEP_S / finer, mostStepS: MAX_STEP_S / finer }
}
