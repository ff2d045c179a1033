import type { LineBatch, LineDish, LineInstance, LineItem, LineSchedule, LineTicket } from '../planner/instance'

/** What a plan breaks: the rule, and the batch or the item. */
export const LINE_RULES = [
  'instance',
  'gone',
  'parts',
  'station',
  'family',
  'capacity',
  'allergen',
  'grid',
  'past',
  'release',
  'overlap',
  'down',
  'wash',
  'hands',
  'cooks',
  'frozen',
] as const
export type LineRule = (typeof LINE_RULES)[number]
/** Says what is wrong with a batch. */
export type Say = (rule: LineRule, batch: string, message: string) => void

/** A part of an item as the checker counts it. */
export type Part = { id: string; n: number; item: LineItem; ticket: LineTicket; dish: LineDish }
/** A batch with everything that follows from it. */
export type Fried = {
  batch: LineBatch
  name: string
  parts: Part[]
  dish: LineDish
  setUpS: number
  endS: number
  /** Times that take a pair of hands [s]. */
  hands: [number, number][]
  isFrozen: boolean
}

const NEAR = 1e-6
export const isSame = (a: readonly string[], b: readonly string[]) =>
  [...a].sort().join('|') === [...b].sort().join('|')

/** Every part that is to be fried. */
export function allParts(instance: LineInstance, gone: ReadonlySet<string>): Map<string, Part> {
  const parts = new Map<string, Part>()
  for (const ticket of instance.tickets)
    for (const item of ticket.items) {
      const dish = instance.dishes.find(({ id }) => id === item.dish)
      if (!dish || gone.has(item.id)) continue
      const caps = instance.stations.flatMap(({ kind }) => (dish.on[kind] ? [dish.on[kind].cap] : []))
      const cap = Math.max(...caps)
      let count = 1
      while (count * cap < item.n - NEAR) count += 1
      let left = item.n
      for (let k = 0; k < count; k += 1) {
        const share = left / (count - k)
        const n = Number.isInteger(item.n) ? Math.ceil(share - NEAR) : item.n / count
        left -= n
        const id = count === 1 ? item.id : `${item.id}/${k + 1}`
        parts.set(id, { id, n, item, ticket, dish })
      }
    }
  return parts
}

/** Batches with their parts and times; null where one names what is not there. */
export function readBatches(
  instance: LineInstance,
  plan: LineSchedule,
  parts: ReadonlyMap<string, Part>,
  say: Say,
): Fried[] | null {
  const seen = new Map<string, number>()
  let isReadable = true
  const stateOf = new Map<string, { dish: string; base: string } | null>()
  const onMetal = ({ id, sameAs }: LineDish) => sameAs ?? id
  for (const { id, last } of instance.stations) {
    const dish = last && instance.dishes.find((one) => one.id === last.dish)
    stateOf.set(
      id,
      last && last.dish !== null
        ? { dish: dish ? onMetal(dish) : last.dish, base: dish?.base ?? `only ${last.dish}` }
        : null,
    )
  }
  const fried = [...plan.batches]
    .sort((a, b) => a.start - b.start)
    .flatMap((batch): Fried[] => {
      const name = `${batch.station} at ${batch.start}`
      const own = batch.parts.flatMap((id) => {
        seen.set(id, (seen.get(id) ?? 0) + 1)
        const part = parts.get(id)
        if (!part) say('parts', name, `there is no part ${id}`)
        return part ? [part] : []
      })
      const station = instance.stations.find(({ id }) => id === batch.station)
      const dish = own[0]?.dish
      const on = station && dish?.on[station.kind]
      if (!station || !dish || !on) {
        say('station', name, !station ? 'there is no such station' : `${dish?.id ?? 'nothing'} cannot be fried there`)
        isReadable = false
        return []
      }
      const frozen = instance.frozen.find((one) => one.station === batch.station && isSame(one.parts, batch.parts))
      const times = instance.setup[station.kind]!
      const before = stateOf.get(station.id) ?? null
      const setUpS = batch.wash
        ? times.wash
        : before === null || before.dish === onMetal(dish)
          ? 0
          : before.base === dish.base
            ? times.base
            : times.other
      stateOf.set(station.id, { dish: onMetal(dish), base: dish.base })
      return [
        {
          batch,
          name,
          parts: own,
          dish,
          setUpS,
          isFrozen: frozen !== undefined,
          ...timesOf(instance, batch, own, on.phases, setUpS, frozen?.late ?? 0),
        },
      ]
    })
  for (const id of parts.keys()) {
    const times = seen.get(id) ?? 0
    if (times !== 1) say('parts', '', `part ${id} is fried ${times} times`)
  }
  return isReadable ? fried : null
}

function timesOf(
  instance: LineInstance,
  batch: LineBatch,
  parts: readonly Part[],
  phases: LineDish['on'][string]['phases'],
  setUpS: number,
  lateS: number,
): { endS: number; hands: [number, number][] } {
  const load = parts.reduce((sum, { n }) => sum + n, 0)
  const onGrid = (s: number) => Math.ceil(s / instance.grid - NEAR) * instance.grid
  const spans = phases.map(({ hands, a, b }) => ({ hands, s: onGrid(a + b * load) }))
  if (spans.length > 0) spans[spans.length - 1]!.s += lateS
  const finishes = new Set(
    parts.map(({ item, dish }) =>
      item.mods
        .filter((mod) => dish.mods[mod]?.merge === 'late')
        .sort()
        .join('+'),
    ),
  )
  const splitS = parts[0]!.dish.split * (finishes.size - 1)
  if (splitS > 0) spans.push({ hands: true, s: onGrid(splitS) })
  const hands: [number, number][] = [[batch.start - setUpS, batch.start]]
  let atS = batch.start
  for (const { hands: isHands, s } of spans) {
    if (isHands) hands.push([atS, atS + s])
    atS += s
  }
  return { endS: atS, hands: joined(hands) }
}

/** Times that follow one another without a gap are one. */
function joined(times: readonly [number, number][]): [number, number][] {
  const all: [number, number][] = []
  for (const [from, to] of times) {
    const last = all.at(-1)
    if (to <= from) continue
    if (last && last[1] >= from - NEAR) last[1] = to
    else all.push([from, to])
  }
  return all
}

/** Allergens of a part as it was ordered. */
export const allergensIn = ({ dish, item }: Part): string[] =>
  dish.allergens.filter((one) => !item.mods.some((mod) => dish.mods[mod]?.removes?.includes(one)))
