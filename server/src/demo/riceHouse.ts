import type { RicePlace, RiceVessel } from 'contract/riceHouse'

export const DEMO_VESSELS: readonly RiceVessel[] = [
  { id: 'steamer', name: 'Bowl steamer', method: 'steamer', volumeL: 18, count: 1, steamGPerMin: 8, loadsWeighed: 6 },
  { id: 'cooker', name: 'Rice cooker', method: 'cooker', volumeL: 10, count: 2, steamGPerMin: 5, loadsWeighed: 2 },
  { id: 'pot', name: 'Stock pot', method: 'pot', volumeL: 8, count: 1, steamGPerMin: 6, loadsWeighed: 0 },
  {
    id: 'microwave',
    name: 'Microwave cooker',
    method: 'microwave',
    volumeL: 4,
    count: 1,
    steamGPerMin: 15,
    loadsWeighed: 0,
  },
  { id: 'pilaf', name: 'Pilaf pan', method: 'pilaf', volumeL: 12, count: 1, steamGPerMin: 6, loadsWeighed: 0 },
]

export const DEMO_PLACES: readonly RicePlace[] = [
  { id: 'bench', name: 'Bench, Ring A', kind: 'bench', airTempC: 21, trays: 2 },
  { id: 'walk-in', name: 'Walk-in', kind: 'fridge', airTempC: 3.4, trays: 12 },
  { id: 'fan', name: 'Fan by the door', kind: 'fan', airTempC: 19, trays: 4 },
  { id: 'rack', name: 'Rack', kind: 'rack', airTempC: 22, trays: 8 },
  { id: 'ice', name: 'Ice sink', kind: 'ice-bath', airTempC: null, trays: 2 },
  { id: 'freezer', name: 'Freezer', kind: 'freezer', airTempC: -19, trays: 6 },
]
