import { type Stage } from '../../book/dish'
import { restOf, STAGED_ROLES } from '../../book/stages'
import type { WokComponent } from './component'
import type { Move } from './moves'
import type { Parts } from './parts'
import type { ComponentInput, PartInput } from './vocabulary'

/**
 * A component as the shares in which it goes in, each with an id of its own; what its stages leave keeps its own place.
 * @throws {RangeError} when its shares come to more than the whole, or one of them is nothing
 */
export function stagedInputs(one: ComponentInput): PartInput[] {
  const { stages } = one
  if (stages === undefined || stages.length === 0 || !STAGED_ROLES.includes(one.role)) return [one]
  const rest = restOf(stages)
  if (rest === null) throw new RangeError(`the shares of ${one.id} are no parts of one whole`)
  // Thirds as somebody types them come to a little less or more than the whole.
  const sum = rest + stages.reduce((total, { share }) => total + share, 0)
  const own: PartInput[] = rest > 0 ? [{ ...one, ratioG: one.ratioG * rest }] : []
  const shares = stages.map(({ at, share }, nth): PartInput => {
    // What has no place of its own answers to its name with its first share.
    const id = rest === 0 && nth === 0 ? one.id : `${one.id}@${at}`
    return { ...one, id, ratioG: (one.ratioG * share) / sum, target: { kind: 'none' }, of: one.id, stage: at }
  })
  return [...own, ...shares]
}

/** The moves with every share in the stage that it is for; what a run has no stage for goes in with the rice. */
export const withShares = (moves: readonly Move[], parts: Parts): Move[] =>
  parts.shares.reduce((some, one) => withShare(some, one, parts), [...moves])

function withShare(moves: readonly Move[], one: WokComponent, parts: Parts): Move[] {
  const at = hostOf(moves, one, parts)
  const host = moves[at]
  if (!host) return [...moves]
  const leaves = ({ kind, ids }: Move) =>
    (kind === 'out' || kind === 'aside' || kind === 'back') && ids.some((id) => host.ids.includes(id))
  return moves.map((move, index) =>
    index === at || (!isStrewn(one) && index > at && leaves(move)) ? { ...move, ids: [...move.ids, one.id] } : move,
  )
}

/** Salt stays on what it was strewn on and weighs nothing in the heat; anything else leaves and comes back with its company. */
export const isStrewn = ({ place }: WokComponent): boolean => place === 'dry' || place === 'volatile'

/** The first move that the share can go in with. */
function hostOf(moves: readonly Move[], { stage }: WokComponent, { egg, raw, ready }: Parts): number {
  const firstIn = (test: (move: Move) => boolean) => moves.findIndex((move) => move.kind === 'in' && test(move))
  const holds = (some: readonly WokComponent[]) => (move: Move) => some.some(({ id }) => move.ids.includes(id))
  const test: Readonly<Record<Stage, (move: Move) => boolean>> = {
    egg: holds(egg),
    protein: holds([...raw, ...ready]),
    base: ({ slot }) => slot === 'base',
    rice: ({ slot }) => slot === 'rice',
    end: ({ slot }) => slot === 'dry' || slot === 'sauce' || slot === 'leaf',
    finish: ({ slot }) => slot === 'finish',
  }
  const at = stage === null ? -1 : firstIn(test[stage])
  return at >= 0 ? at : firstIn(test.rice)
}
