import type { Score } from '../../wok/score'
import type { Cause, LikelyCause } from './rank'

/** One change to try: another amount in the dish, a smaller batch, or something to do that no dish has. */
export type TryNext =
  | { kind: 'amount'; componentId: string; name: string; fromG: number; toG: number }
  | { kind: 'smaller'; riceG: number }
  | { kind: 'do'; cause: Cause }

const ROLE_OF: Readonly<Partial<Record<Cause, 'liquidSeasoning' | 'fat' | 'drySeasoning'>>> = {
  tooMuchSauce: 'liquidSeasoning',
  tooLittleSauce: 'liquidSeasoning',
  tooMuchFat: 'fat',
  tooMuchSeasoning: 'drySeasoning',
  tooLittleSeasoning: 'drySeasoning',
}
/** An amount is not changed by more than this at once. */
const MOST_CHANGE = 0.3

/**
 * The one change that a cause asks for, for a portion of `portionRiceG` rice: the amount that runs which went well had, of
 * the heaviest of its kind.
 * @param score the run that shows the cause most
 */
export function tryNext(
  likely: LikelyCause,
  { steps, riceMassG }: Pick<Score, 'steps' | 'riceMassG'>,
  portionRiceG: number,
): TryNext {
  const { cause, value, usual } = likely
  const role = ROLE_OF[cause]
  if (role && usual && value > 0) {
    const heaviest = new Map<string, { name: string; massG: number }>()
    for (const { componentId, name, massG, motion, role: own } of steps.flatMap(({ entries }) => entries))
      if (own === role && motion === 'in')
        heaviest.set(componentId, { name, massG: massG + (heaviest.get(componentId)?.massG ?? 0) })
    const [entry] = [...heaviest].sort(([, a], [, b]) => b.massG - a.massG)
    if (!entry) return { kind: 'do', cause }
    const [componentId, { name, massG }] = entry
    const times = Math.min(1 + MOST_CHANGE, Math.max(1 - MOST_CHANGE, usual.middle / value))
    const fromG = (massG * portionRiceG) / riceMassG
    return { kind: 'amount', componentId, name, fromG: round(fromG), toG: round(fromG * times) }
  }
  if (cause === 'tooMuchAtOnce' && usual) return { kind: 'smaller', riceG: Math.round(usual.middle) }
  return { kind: 'do', cause }
}

const round = (massG: number) => Math.round(massG * 10) / 10
