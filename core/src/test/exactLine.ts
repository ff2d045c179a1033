import type { LineDish, LineInstance, LineItem, LineTicket } from '../line/planner/instance'

type Piece = { item: LineItem; ticket: LineTicket; dish: LineDish; n: number }
type Group = {
  mask: number
  pieces: Piece[]
  dish: LineDish
  load: number
  arrived: number
  contents: string[]
  avoid: string[]
  ways: number
}
type StationState = { freeS: number; last: LineDish | null; isClean: boolean; residue: string[] }

/**
 * The points of the best plan, by trying every plan: batches in the order of their starts, each of every group of like pieces,
 * at every station and every second of the grid, washed or not, cut off where the points so far and the least that must still
 * come are beyond `below`. For a few uncut pieces, without frozen or told batches, breakdowns or stock; seconds or minutes.
 */
export function exactPoints(instance: LineInstance, below: number): number {
  const { grid, now, hands, weights, stations, setup, boxExtra } = instance
  const pieces = instance.tickets.flatMap((ticket) =>
    ticket.items.map((item): Piece => ({
      item,
      ticket,
      dish: instance.dishes.find(({ id }) => id === item.dish)!,
      n: item.n,
    })),
  )
  const all = (1 << pieces.length) - 1
  const onGrid = (s: number) => Math.ceil(s / grid - 1e-6) * grid
  const groups = groupsOf(pieces)
  const readyS = pieces.map(() => 0)
  let best = below

  const spanOf = (group: Group, kind: string) => {
    const on = group.dish.on[kind]
    if (!on || group.load > on.cap + 1e-6) return null
    const phases = on.phases.map(({ hands: isHands, a, b }) => ({ isHands, s: onGrid(a + b * group.load) }))
    if (group.ways > 1) phases.push({ isHands: true, s: onGrid(group.dish.split * (group.ways - 1)) })
    return phases
  }
  const shortestS = pieces.map((piece, i) => {
    const alone = groups.find(({ mask }) => mask === 1 << i)!
    return Math.min(...stations.map(({ kind }) => spanOf(alone, kind)?.reduce((sum, { s }) => sum + s, 0) ?? Infinity))
  })
  /** Points of a ticket if its last piece is up then; the least, where only the first is known. */
  const waits = (ticket: LineTicket, completeS: number) => {
    const out = ticket.kind === 'take' ? Math.max(completeS, ticket.due) : completeS
    const late = Math.max(0, out - ticket.due)
    return (
      ticket.w *
      (weights.late * late + weights.late2 * Math.max(0, late - weights.knee) + weights.flow * (out - ticket.at))
    )
  }
  const holds = (ticket: LineTicket) => {
    const own = pieces.flatMap((piece, i) => (piece.ticket === ticket ? [{ piece, at: readyS[i]! }] : []))
    const completeS = Math.max(...own.map(({ at }) => at))
    const isTake = ticket.kind === 'take'
    const out = isTake ? Math.max(completeS, ticket.due) : completeS
    return (
      ticket.w * weights.spread * (completeS - Math.min(...own.map(({ at }) => at))) +
      own.reduce((sum, { piece, at }) => {
        const held = out - at - (isTake ? boxExtra : 0)
        return (
          sum +
          piece.n *
            (weights.hold * Math.max(0, held - piece.dish.free) + weights.spoil * Math.max(0, held - piece.dish.max))
        )
      }, 0)
    )
  }
  const familyOf = pieces.map(({ dish, item }) =>
    [dish.id, ...item.mods.filter((mod) => dish.mods[mod]?.merge === 'never').sort()].join(),
  )
  /** What the batches to come cost at least: one of each family, with hands for all its portions. */
  const batchesLeast = Array.from({ length: all + 1 }, (_, done) => {
    const left = pieces.flatMap((piece, i) => ((done & (1 << i)) === 0 ? [{ piece, family: familyOf[i]! }] : []))
    return [...new Set(left.map(({ family }) => family))].reduce((sum, family) => {
      const own = left.filter((one) => one.family === family)
      const load = own.reduce((portions, { piece }) => portions + piece.n, 0)
      const handsS = Object.values(own[0]!.piece.dish.on).map(({ phases }) =>
        phases.reduce((s, { hands: isHands, a, b }) => s + (isHands ? a + b * load : 0), 0),
      )
      return sum + weights.batch + weights.hands * Math.min(...handsS)
    }, 0)
  })
  const least = (done: number, fromS: number) =>
    batchesLeast[done]! +
    instance.tickets.reduce((sum, ticket) => {
      let completeS = 0
      let isOver = true
      pieces.forEach((piece, i) => {
        if (piece.ticket !== ticket) return
        if ((done & (1 << i)) !== 0) completeS = Math.max(completeS, readyS[i]!)
        else {
          isOver = false
          completeS = Math.max(completeS, Math.max(fromS, piece.ticket.at) + shortestS[i]!)
        }
      })
      return sum + waits(ticket, completeS) + (isOver ? holds(ticket) : 0)
    }, 0)

  const busy: [number, number][] = []
  const isFree = (from: number, to: number) =>
    to <= from ||
    [from, ...busy.map(([a]) => a).filter((a) => a > from && a < to)].every(
      (s) => busy.filter(([a, b]) => a <= s && b > s).length < hands,
    )

  const search = (done: number, fromS: number, states: readonly StationState[], points: number): void => {
    if (points + least(done, fromS) >= best - 1e-9) return
    if (done === all) {
      best = points + least(done, fromS)
      return
    }
    for (const group of groups) {
      if ((group.mask & done) !== 0) continue
      stations.forEach(({ kind }, s) => {
        const phases = spanOf(group, kind)
        if (!phases || states.slice(0, s).some((one, i) => stations[i]!.kind === kind && isAlike(one, states[s]!)))
          return
        const state = states[s]!
        const isDirty = group.avoid.some((one) => state.residue.includes(one))
        for (const isWashed of isDirty ? [true] : [false, true]) {
          const times = setup[kind]!
          const setUpS = isWashed
            ? times.wash
            : state.isClean || state.last?.id === group.dish.id
              ? 0
              : state.last?.base === group.dish.base
                ? times.base
                : times.other
          let startS = onGrid(Math.max(fromS, state.freeS + setUpS, now + setUpS, group.arrived))
          for (; ; startS += grid) {
            const isBeyond = points + least(done, startS) >= best - 1e-9
            if (isBeyond) break
            const taken = handsOf(startS, setUpS, phases)
            if (!taken.times.every(([a, b]) => isFree(a, b))) continue
            group.pieces.forEach((piece) => (readyS[pieces.indexOf(piece)] = taken.endS))
            busy.push(...taken.times)
            const handsS = taken.times.reduce((sum, [a, b]) => sum + b - a, 0)
            const more = weights.batch + (isWashed ? weights.wash : 0) + weights.hands * handsS
            const residue = [...(isWashed ? [] : state.residue), ...group.contents]
            const after = states.map((one, i) =>
              i === s ? { freeS: taken.endS, last: group.dish, isClean: false, residue } : one,
            )
            search(done | group.mask, startS, after, points + more)
            busy.length -= taken.times.length
          }
        }
      })
    }
  }
  search(
    0,
    now,
    stations.map(({ from, last }) => ({
      freeS: Math.max(from, now),
      last: instance.dishes.find(({ id }) => id === last?.dish) ?? null,
      isClean: last === null,
      residue: [...(last?.residue ?? [])],
    })),
    0,
  )
  return best
}

/** Of two stations that are alike, only the first need be tried. */
const isAlike = (a: StationState, b: StationState) =>
  a.freeS === b.freeS && a.last === b.last && a.isClean === b.isClean && a.residue.join() === b.residue.join()

function handsOf(
  startS: number,
  setUpS: number,
  phases: readonly { isHands: boolean; s: number }[],
): { times: [number, number][]; endS: number } {
  const times: [number, number][] = setUpS > 0 ? [[startS - setUpS, startS]] : []
  let at = startS
  for (const { isHands, s } of phases) {
    const last = times.at(-1)
    if (isHands && s > 0) {
      if (last && last[1] === at) last[1] = at + s
      else times.push([at, at + s])
    }
    at += s
  }
  return { times, endS: at }
}

/** Every group of pieces that may be fried together. */
function groupsOf(pieces: readonly Piece[]): Group[] {
  const groups: Group[] = []
  for (let mask = 1; mask < 1 << pieces.length; mask += 1) {
    const own = pieces.filter((_, i) => (mask & (1 << i)) !== 0)
    const merged = (piece: Piece, merge: 'never' | 'late') =>
      piece.item.mods
        .filter((mod) => piece.dish.mods[mod]?.merge === merge)
        .sort()
        .join()
    const first = own[0]!
    if (own.some((one) => one.dish !== first.dish || merged(one, 'never') !== merged(first, 'never'))) continue
    const contents = own.flatMap(({ dish, item }) =>
      dish.allergens.filter((one) => !item.mods.some((mod) => dish.mods[mod]?.removes?.includes(one))),
    )
    const avoid = own.flatMap(({ item }) => item.avoid)
    if (avoid.some((one) => contents.includes(one))) continue
    groups.push({
      mask,
      pieces: own,
      dish: first.dish,
      load: own.reduce((sum, { n }) => sum + n, 0),
      arrived: Math.max(...own.map(({ ticket }) => ticket.at)),
      contents,
      avoid,
      ways: new Set(own.map((one) => merged(one, 'late'))).size,
    })
  }
  return groups
}
