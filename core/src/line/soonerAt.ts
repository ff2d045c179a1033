import type { SetUp } from './station'
import { isWashed, type StationPast } from './stationPast'

/** Rests of metal for which it is known how much sooner a batch is up [s]. */
export const RESTS_S = [0, 10, 20, 30, 45, 60, 90, 120, 180, 240, 360, 480, 720, 1000, 1400] as const

/** How a station stands when a batch begins: what was said of it, what it needs first, and when that is done [ms]. */
export type Begins = { past: StationPast; setUp: SetUp; startMs: number }

/**
 * How much sooner than from cold metal a batch is up [whole s]: nothing where its metal was never used, was washed or has to
 * be, or where it is not known. Between two rests it is what the longer one gives: never too soon.
 * @param soonerS by `RESTS_S`
 */
export function soonerAt(soonerS: readonly number[] | undefined, { past, setUp, startMs }: Begins): number {
  if (!soonerS || past.usedUntilMs === null || setUp === 'wash' || isWashed(past)) return 0
  const restedS = (startMs - past.usedUntilMs) / 1000
  const at = RESTS_S.findIndex((restS) => restS >= restedS)
  return at < 0 ? 0 : (soonerS[at] ?? 0)
}
