import type { LineWishes } from './wishes'
import type { PlannedFrom } from './factsKey'

/** Why an order is another one than before. */
export const ORDER_WHYS = [
  'ticket',
  'fewer',
  'run',
  'down',
  'later',
  'back',
  'gone',
  'hands',
  'weights',
  'pin',
  'anew',
] as const
/** What it was: a kind, and the ticket numbers or stations that it was. */
export type OrderWhy = { kind: (typeof ORDER_WHYS)[number]; names: string[] }

/** What is different between two sets of facts, the weightiest first; `anew` where nothing before is known. */
export function whyChanged(before: PlannedFrom | null, after: PlannedFrom): OrderWhy[] {
  if (!before) return [{ kind: 'anew', names: [] }]
  const numbers = (from: PlannedFrom) =>
    new Map(from.pieces.map(({ item }) => [item.itemId, String(item.ticketNumber)]))
  const [old, now] = [numbers(before), numbers(after)]
  const only = (a: Map<string, string>, b: Map<string, string>) => [
    ...new Set([...a].filter(([itemId]) => !b.has(itemId)).map(([, number]) => number)),
  ]
  const downs = ({ wishes }: PlannedFrom) => [...wishes.downStations]
  const laters = ({ wishes }: PlannedFrom) => [...wishes.laterStations]
  const idle = (from: PlannedFrom) => [...downs(from), ...laters(from).map(([id]) => id)]
  const differs = (of: (wishes: LineWishes) => unknown) =>
    JSON.stringify(of(before.wishes)) !== JSON.stringify(of(after.wishes))
  const upOf = new Map(before.runs.map(({ runId, upMs }) => [runId, upMs]))
  const whys: (OrderWhy | false)[] = [
    { kind: 'down', names: downs(after).filter((id) => !downs(before).includes(id)) },
    {
      kind: 'later',
      names: laters(after).flatMap(([id, atMs]) => (before.wishes.laterStations.get(id) === atMs ? [] : [id])),
    },
    { kind: 'back', names: idle(before).filter((id) => !idle(after).includes(id)) },
    differs(({ goneDishes, goneMatters }) => [goneDishes, goneMatters]) && { kind: 'gone', names: [''] },
    before.pairs !== after.pairs && { kind: 'hands', names: [''] },
    differs(({ pins, tickets }) => [pins, [...tickets]]) && { kind: 'pin', names: [''] },
    differs(({ house }) => house) && { kind: 'weights', names: [''] },
    { kind: 'ticket', names: only(now, old) },
    { kind: 'fewer', names: only(old, now).filter((number) => ![...now.values()].includes(number)) },
    after.runs.some(({ runId, upMs }) => Math.abs(upMs - (upOf.get(runId) ?? upMs)) >= 30_000) && {
      kind: 'run',
      names: [''],
    },
  ]
  return whys
    .filter((why): why is OrderWhy => why !== false && why.names.length > 0)
    .map(({ kind, names }) => ({ kind, names: names.filter(Boolean) }))
}
