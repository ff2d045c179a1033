import {
  USUAL_WEIGHTS,
  type LineDish,
  type LineInstance,
  type LineStation,
  type LineTicket,
} from '../line/planner/instance'

/** A row of numbers from 0 to 1 by a seed (mulberry32). */
export function numbersFrom(seed: number): () => number {
  let state = seed | 0
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

const wok = (cap: number, a: number, b: number) => ({
  cap,
  phases: [
    { hands: true, a, b },
    { hands: false, a: 0, b: 0 },
    { hands: true, a: 10, b: 0 },
  ],
})
const zone = (cap: number, press: number, leave: number, turn: number) => ({
  cap,
  phases: [
    { hands: true, a: press, b: 5 },
    { hands: false, a: leave, b: 0 },
    { hands: true, a: turn, b: 0 },
  ],
})

const dish = (id: string, base: string, allergens: string[], more: Partial<LineDish>): LineDish => ({
  id,
  base,
  allergens,
  free: 150,
  max: 300,
  on: {},
  mods: { 'no-egg': { merge: 'never', removes: ['egg'] }, hot: { merge: 'late' } },
  split: 15,
  uses: {},
  ...more,
})

/** Dishes of the sample kitchen as the line sees them: times assumed. */
export const LINE_DISHES: readonly LineDish[] = [
  dish('veg', 'soy', ['soy'], { on: { wok: wok(4, 70, 25) } }),
  dish('egg', 'soy', ['soy', 'egg'], { on: { wok: wok(4, 75, 25) } }),
  dish('duck', 'soy', ['soy', 'egg'], { on: { wok: wok(3, 90, 35) }, free: 120, max: 240 }),
  dish('prawn', 'salt', ['crustacean', 'egg'], { on: { wok: wok(3, 85, 30) }, free: 120, max: 240 }),
  dish('crab', 'salt', ['crustacean', 'egg'], { on: { wok: wok(3, 90, 30) }, free: 120, max: 240 }),
  dish('nut', 'curry', ['peanut'], { on: { wok: wok(4, 80, 25) } }),
  dish('kim', 'plate', ['egg', 'fish'], { on: { zone: zone(3, 30, 100, 30) }, free: 200, max: 400 }),
  dish('crisp', 'plate', ['soy'], { on: { zone: zone(4, 25, 120, 30), wok: wok(2, 110, 40) }, free: 240, max: 420 }),
]

const SET_UP = { base: 10, other: 20, wash: 60 }

const station = (id: string, kind: string): LineStation => ({ id, kind, from: 0, down: [], last: null })
export const LINE_STATIONS: readonly LineStation[] = [
  station('ring-a', 'wok'),
  station('ring-b', 'wok'),
  station('griddle', 'zone'),
]

export const lineInstance = (more: Partial<LineInstance> & Pick<LineInstance, 'tickets'>): LineInstance => ({
  id: 'test',
  grid: 5,
  now: 0,
  hands: 2,
  boxExtra: 180,
  weights: USUAL_WEIGHTS,
  setup: { wok: SET_UP, zone: SET_UP },
  stations: LINE_STATIONS,
  dishes: LINE_DISHES,
  stock: {},
  frozen: [],
  told: [],
  ...more,
})

/** An evening with so many items: waves of takeaways between tables, now and then an allergy; `load` 1 is about what it can cook. */
export function rushOf(items: number, seed: number, load = 1): LineInstance {
  const random = numbersFrom(seed)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const tickets: LineTicket[] = []
  let count = 0
  const spanS = (items * 62) / load
  while (count < items) {
    const at = Math.floor(random() * spanS)
    const isTake = random() < 0.5
    const wave = Math.ceil((at + 600) / 1200) * 1200
    const due = isTake ? wave + 300 : at + 600 + Math.floor(random() * 600)
    const many = Math.min(items - count, 1 + Math.floor(random() * random() * 4))
    const ticket = `t${tickets.length}`
    const own = Array.from({ length: many }, (_, i) => {
      const one = pick(LINE_DISHES)
      const mods = random() < 0.12 ? ['no-egg'] : random() < 0.15 ? ['hot'] : []
      const contents = one.allergens.filter((allergen) => allergen !== 'egg' || !mods.includes('no-egg'))
      const avoid =
        random() < 0.06
          ? ['peanut', 'crustacean', 'egg'].filter((allergen) => !contents.includes(allergen)).slice(0, 1)
          : []
      return { id: `${ticket}-${i}`, dish: one.id, n: 1 + Math.floor(random() * random() * 3), mods, avoid }
    })
    count += many
    tickets.push({ id: ticket, at, due, kind: isTake ? 'take' : 'dine', w: 1, items: own })
  }
  tickets.sort((a, b) => a.at - b.at)
  return lineInstance({ id: `rush-${items}-${seed}`, tickets })
}

/** A small instance with everything in it: stations down and dirty, a batch at the flame, one that was told, stock, allergies. */
export function smallInstance(seed: number, most = 8): LineInstance {
  const random = numbersFrom(seed)
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  const dishes = LINE_DISHES.slice(0, 4 + Math.floor(random() * 5))
  const count = 3 + Math.floor(random() * (most - 2))
  const isFractional = random() < 0.2
  const tickets: LineTicket[] = []
  let items = 0
  while (items < count) {
    const ticket = `t${tickets.length}`
    const many = Math.min(count - items, 1 + Math.floor(random() * 2.4))
    const at = random() < 0.5 ? 0 : Math.floor(random() * 50) * 10
    const own = Array.from({ length: many }, (_, i) => {
      const one = pick(dishes)
      const mods = random() < 0.15 ? ['no-egg'] : random() < 0.2 ? ['hot'] : []
      const contents = one.allergens.filter((allergen) => allergen !== 'egg' || !mods.includes('no-egg'))
      const avoid =
        random() < 0.15 ? ['peanut', 'soy', 'egg'].filter((name) => !contents.includes(name)).slice(0, 1) : []
      const n = isFractional ? pick([0.5, 0.6, 1, 1.5]) : pick([1, 1, 2, 3, 5])
      return { id: `${ticket}-${i}`, dish: one.id, n, mods, avoid }
    })
    items += many
    const due = at + 120 + Math.floor(random() * 60) * 10
    tickets.push({ id: ticket, at, due, kind: pick(['dine', 'take'] as const), w: pick([1, 1, 1, 2]), items: own })
  }
  const stations = LINE_STATIONS.map((one): LineStation => {
    const from = random() < 0.2 ? Math.floor(random() * 20) * 10 : 0
    const begin = Math.floor(random() * 40) * 10
    const last = pick(LINE_DISHES)
    return {
      ...one,
      from,
      down: random() < 0.15 ? [[begin, begin + 200]] : [],
      last: random() < 0.4 ? { dish: last.id, residue: last.allergens } : null,
    }
  })
  const hands = pick([1, 2, 3])
  const first = tickets.find(({ at, items: [one] }) => at === 0 && one && one.dish !== 'kim' && one.n <= 2)?.items[0]
  const isFrozen = first !== undefined && random() < 0.3
  const told = tickets
    .flatMap((ticket) => ticket.items)
    .find((one) => one !== first && one.n <= 2 && one.dish !== 'kim')
  return lineInstance({
    id: `small-${seed}`,
    now: isFrozen ? 30 : 0,
    hands,
    stations: isFrozen
      ? stations.map((one, i) => (i === 0 ? { ...one, down: [], from: 0, last: null } : one))
      : stations,
    tickets,
    dishes: LINE_DISHES.map((one) => (one.id === 'duck' ? { ...one, uses: { duck: 1 } } : one)),
    stock: random() < 0.3 ? { duck: 2 } : {},
    frozen: isFrozen ? [{ station: 'ring-a', start: 0, wash: false, parts: [first.id], late: pick([0, 20]) }] : [],
    told: told && random() < 0.3 ? [{ station: pick(['ring-a', 'ring-b']), parts: [told.id] }] : [],
  })
}

/** A case that can be tried through: a few uncut pieces on a grid of 30 s, nothing frozen, told or down. */
export function tinyInstance(seed: number, most: number): LineInstance {
  const raw = smallInstance(seed, most)
  let left = most
  const tickets = raw.tickets.flatMap((ticket): LineTicket[] => {
    const items = ticket.items.slice(0, left).map((item) => ({ ...item, n: Math.min(2, item.n) }))
    left -= items.length
    return items.length > 0 ? [{ ...ticket, items }] : []
  })
  const stations = raw.stations.map((one) => ({ ...one, down: [] }))
  return { ...raw, id: `tiny-${seed}`, grid: 30, now: 0, stations, tickets, stock: {}, frozen: [], told: [] }
}
