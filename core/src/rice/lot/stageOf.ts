import type { CoolingVerdict } from './coolingVerdict'
import type { LotEnd, LotStage, LotState } from './lotState'

/** The stage of a lot by its cooling, where it stands, and whether it has left the heat or is over. */
export function stageOf(
  { judged, logs }: CoolingVerdict,
  at: { end: LotEnd | null; hasMass: boolean; place: LotState['place']; isInWarmth: boolean },
): LotStage {
  if (at.end) return at.end.kind
  if (!at.hasMass) return 'cooking'
  if (at.place === 'freezer') return 'frozen'
  if (judged === 'met') return at.isInWarmth ? 'tempering' : 'ready'
  const isPastFirst = logs.every(({ log }) => log.steps.length > 1 && log.steps[0]?.reachedMs !== null)
  return isPastFirst ? 'chilling' : 'cooling'
}
