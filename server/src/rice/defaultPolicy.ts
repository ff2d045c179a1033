import type { RicePolicy } from 'contract/riceHouse'
import { USUAL_READING_PLAN } from 'core/rice/reading/riceReading'

/** How a kitchen does its rice until it says otherwise: figures of a small counter, to be edited. */
export const DEFAULT_POLICY: RicePolicy = {
  services: [
    { id: 'noon', name: 'Noon', fromMin: 690, toMin: 840 },
    { id: 'evening', name: 'Evening', fromMin: 1020, toMin: 1260 },
  ],
  shortageCost: 8.2,
  wasteCost: 0.45,
  vesselId: 'steamer',
  blend: { long: 1 },
  wash: 'three',
  tray: { name: '1/1', lengthM: 0.53, widthM: 0.325 },
  cooling: [
    { durationS: 1200, place: 'fan', covered: false },
    { durationS: 36_000, place: 'fridge', covered: false },
  ],
  closeMin: 1320,
  keepDays: 3,
  outMin: null,
  serveFrom: 'tempered',
  ...USUAL_READING_PLAN,
}
