import type { Dish } from 'contract/dish'
import type { NewTicketBody } from 'contract/ticket'
import { ItemId, TicketId } from 'contract/ids'
import type { Wave } from 'core/line/waves'

/** A ticket of the simulated feed with its instant [ms]. */
type FedTicket = { atMs: number; ticket: NewTicketBody }

const FIRST_TICKET_MS = 3_000
/** Within so long after it lands, a boat's tickets come [ms], the first one at once. */
export const WAVE_MS = 250_000
const COMES_MS = 240_000
const TICKETS_MIN = 3
const TICKETS_SPREAD = 4
const PROMISE_MIN_MS = 7 * 60_000
const PROMISE_SPREAD_MS = 5 * 60_000
const MODIFIER_SHARE = 0.2
const ALLERGY_SHARE = 0.06
const TAKE_SHARE = 0.35
const STOOLS = 14

/** No boat waits for less [ms]. */
const LEAST_PROMISE_MS = 5 * 60_000

/**
 * The tickets of one boat: the same seed, boat and book give the same tickets with the same ids, so that a wave sent twice is
 * placed once. What is taken away is promised for when the boat leaves; who stays waits as long as guests do.
 */
export function boatWave(seed: number, { landsMs, leavesMs }: Wave, dishes: readonly Dish[]): FedTicket[] {
  const random = mulberry32(seed * 7919 + Math.floor(landsMs / 60_000) * 104_729)
  const count = TICKETS_MIN + Math.floor(random() * TICKETS_SPREAD)
  const tickets = Array.from({ length: count }, (_, index): FedTicket => {
    const atMs = landsMs + FIRST_TICKET_MS + (index === 0 ? 0 : Math.floor(random() * random() * COMES_MS))
    const isTake = random() < TAKE_SHARE
    const seatedMs = atMs + PROMISE_MIN_MS + random() * PROMISE_SPREAD_MS
    const lines = random() < 0.3 ? 2 : 1
    return {
      atMs,
      ticket: {
        id: TicketId.parse(seededUuid(random, atMs)),
        promisedAtMs: Math.round(isTake ? Math.max(leavesMs, atMs + LEAST_PROMISE_MS) : seatedMs),
        kind: isTake ? 'take' : 'dine',
        place: isTake ? 'hatch' : `stool ${1 + Math.floor(random() * STOOLS)}`,
        source: 'feed',
        items: Array.from({ length: lines }, () => randomItem(random, dishes, atMs)),
      },
    }
  })
  return tickets.sort((a, b) => a.atMs - b.atMs)
}

function randomItem(random: () => number, dishes: readonly Dish[], atMs: number): NewTicketBody['items'][number] {
  const dish = dishes[Math.floor(random() * random() * dishes.length)]
  if (!dish) throw new RangeError('the feed needs a dish in the book')
  const modifier = dish.modifiers[Math.floor(random() * dish.modifiers.length)]
  const hasModifier = random() < MODIFIER_SHARE
  const eggFree = dish.modifiers.find((one) => one.id === 'no-egg')
  const hasAllergy = random() < ALLERGY_SHARE && eggFree !== undefined
  return {
    id: ItemId.parse(seededUuid(random, atMs)),
    dishId: dish.id,
    portions: 1 + Math.floor(random() * random() * 4),
    modifiers: hasModifier && modifier ? [modifier.id] : [],
    allergies: hasAllergy ? ['egg'] : [],
  }
}

/** A small seeded generator (mulberry32, public domain): chance that can be repeated, never secrets. */
function mulberry32(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), state | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** A UUIDv7 (RFC 9562) whose random part comes from the seed. */
function seededUuid(random: () => number, atMs: number): string {
  const hex = (length: number) => Array.from({ length }, () => Math.floor(random() * 16).toString(16)).join('')
  const time = Math.max(0, Math.floor(atMs)).toString(16).padStart(12, '0')
  return `${time.slice(0, 8)}-${time.slice(8)}-7${hex(3)}-8${hex(3)}-${hex(12)}`
}
