import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse } from 'contract/riceHouse'
import type { ShownLot } from '../useLots'

/** What every part of a lot's page works with. */
export type LotPage = { shown: ShownLot; kitchen: Kitchen; house: RiceHouse; nowMs: number }

/** What can be opened over a lot's page. */
export type LotSheet =
  | 'move'
  | 'read'
  | 'back'
  | 'count'
  | 'loosen'
  | 'split'
  | 'merge'
  | 'label'
  | 'trace'
  | 'log'
  | 'probe'
  | 'throw'
  | 'more'
