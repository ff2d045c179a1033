import type { TempLimit } from '../../measure/temperature'
import type { LotPlace } from './lotEvent'
import { isWarmPlace } from './lotHolding'
import type { BornLot, LotState } from './lotState'

type Standing = Pick<LotState, 'place' | 'placeId' | 'covered' | 'airTempC' | 'depthM'>

/** Where a lot stands, and where it stood before. */
export class LotStanding {
  now: Standing
  readonly stages: LotState['stages'] = []

  constructor({ place, placeId }: BornLot) {
    this.now = { place, placeId, covered: false, airTempC: null, depthM: null }
  }

  /** Moved or spread; it lies as deep as before where nobody said so. */
  stand({ place, placeId, covered, airTempC, depthM, atMs }: Standing & { place: LotPlace; atMs: number }): void {
    this.now = { place, placeId, covered, airTempC, depthM: depthM ?? this.now.depthM }
    this.stages.push({ fromMs: atMs, place, covered, airTempC, depthM: this.now.depthM })
  }

  isInWarmth(cold: TempLimit): boolean {
    return isWarmPlace(this.now.place, this.now.airTempC, cold)
  }
}
