import type { Allergen } from 'core/book/ingredient'
import type { NewTicketBody } from 'contract/ticket'

const MIN_MS = 60_000

type Item = { dishId: string; portions: number; modifiers?: string[]; allergies?: Allergen[] }
type DemoTicket = { place: string; kind?: 'dine' | 'take'; inMin: number; items: Item[] }

/** The wave that waits when the demo starts; promises are minutes from then. */
const WAVE: DemoTicket[] = [
  {
    place: 'stool 3',
    inMin: 13,
    items: [
      { dishId: 'duck', portions: 2 },
      { dishId: 'plain', portions: 1 },
    ],
  },
  { place: 'stool 9', inMin: 14, items: [{ dishId: 'kimchi', portions: 2 }] },
  { place: 'stool 5', inMin: 15, items: [{ dishId: 'duck', portions: 1, allergies: ['egg'] }] },
  { place: 'hatch', kind: 'take', inMin: 16, items: [{ dishId: 'crab', portions: 2 }] },
  {
    place: 'stool 6',
    inMin: 17,
    items: [
      { dishId: 'cauliflower', portions: 1, modifiers: ['no-peanut'] },
      { dishId: 'duck', portions: 1 },
    ],
  },
  {
    place: 'hatch',
    kind: 'take',
    inMin: 28,
    items: [
      { dishId: 'chicken', portions: 3 },
      { dishId: 'plain', portions: 2 },
    ],
  },
  { place: 'stool 12', inMin: 21, items: [{ dishId: 'mushroom', portions: 2, modifiers: ['no-scallion'] }] },
]

export function demoWave(nowMs: number): NewTicketBody[] {
  return WAVE.map(({ place, kind = 'dine', inMin, items }) => ({
    place,
    kind,
    items,
    promisedAtMs: nowMs + inMin * MIN_MS,
  }))
}
