import type { Kitchen } from 'contract/kitchen'
import { INSTRUMENTS } from 'core/house/instruments'

export const DEMO_KITCHEN_ID = 'low-tide'

/** The sample kitchen, invented: Low Tide Rice Counter on a river-ferry landing. */
export const DEMO_KITCHEN = {
  id: DEMO_KITCHEN_ID,
  name: 'Low Tide Rice Counter',
  locale: 'en-GB',
  currency: 'USD',
  ruleSet: 'us',
  readsIn: 'C',
  weighsIn: 'g',
  isScottish: false,
  // The ferry runs all day and night, so that there is something to see whenever somebody looks.
  waves: {
    spans: [{ weekdays: [1, 2, 3, 4, 5, 6, 7], fromMin: 0, toMin: 23 * 60 + 40, everyMin: 20 }],
    stayMin: 12,
  },
  instruments: [...INSTRUMENTS],
  tools: {
    system: 'us',
    ladles: [
      { name: 'large ladle', volumeML: 120 },
      { name: 'small ladle', volumeML: 40 },
    ],
    scaleResolutionG: 1,
    fineScale: { belowG: 10, resolutionG: 0.1 },
  },
} satisfies Partial<Kitchen>

export const DEMO_STATIONS = [
  { id: 'ring-a', name: 'Ring A', kind: 'wok', powerW: 24_000, capPortions: 4 },
  { id: 'ring-b', name: 'Ring B', kind: 'wok', powerW: 15_000, capPortions: 2 },
  { id: 'griddle', name: 'Griddle', kind: 'griddle', powerW: null, capPortions: 4 },
] as const

export const DEMO_STAFF = [
  { id: 'odalys', name: 'Odalys', role: 'owner' },
  { id: 'bram', name: 'Bram', role: 'cook' },
  { id: 'wen', name: 'Wen', role: 'cook' },
  { id: 'ifeoma', name: 'Ifeoma', role: 'prep' },
  { id: 'tam', name: 'Tam', role: 'trainee' },
] as const

/** Whoever hears what guests say. */
export const DEMO_LEAD = 'odalys'

export const DEMO_COOK_AT: Readonly<Record<string, string>> = { 'ring-a': 'bram', 'ring-b': 'wen', griddle: 'wen' }
