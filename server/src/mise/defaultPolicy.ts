import type { MisePolicy } from 'contract/mise/house'

/** How a kitchen does its mise until it says otherwise. */
export const DEFAULT_MISE_POLICY: MisePolicy = {
  railsMin: 15,
  aheadMin: 120,
  batchPortions: 2,
  people: [],
  equipment: [
    { id: 'burner', name: 'Burner', count: 2 },
    { id: 'oven', name: 'Oven', count: 1 },
    { id: 'steamer', name: 'Steamer', count: 1 },
    { id: 'sink', name: 'Sink', count: 2 },
  ],
  places: [
    { id: 'walk-in', name: 'Walk-in' },
    { id: 'freezer', name: 'Freezer' },
    { id: 'dry-store', name: 'Dry store' },
    { id: 'bench', name: 'Bench' },
  ],
  homes: {},
  pars: [],
  cards: [],
  checks: [
    { id: 'probe', name: 'Probe in ice water: 0 °C' },
    { id: 'allergens', name: 'Allergy notes told to all' },
  ],
  heatMin: { wok: 8, griddle: 25 },
}
