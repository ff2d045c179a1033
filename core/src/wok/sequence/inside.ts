import type { WokComponent } from './component'

/** A component in the vessel, or in a bowl beside it. */
export type Inside = {
  one: WokComponent
  /** Whether it is worse for being done too long. */
  bearsLittle: boolean
  /** Seconds in which it was done and above 72 °C. */
  overS: number
  /** Hottest that its core has been [°C]. */
  peakC: number
  /** Fat that it still has to give [g]. */
  fatG: number
  /** What its lumps still add to the lag of its core [s]. */
  lumpS: number
}
/** What is worse for being done too long. */
const BEARS_LITTLE: readonly WokComponent['place'][] = ['raw', 'ready', 'egg']
/** Built in one place, so that all have one shape. */
export const insideOf = (one: WokComponent, overS: number, peakC: number, fatG: number, lumpS: number): Inside => ({
  one,
  bearsLittle: BEARS_LITTLE.includes(one.place),
  overS,
  peakC,
  fatG,
  lumpS,
})
