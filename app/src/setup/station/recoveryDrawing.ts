type Point = { timeS: number; tempC: number }
export type HeatBand = { fromS: number; path: string; heat: 'full' | 'high' | 'medium' | 'low' }

/** Under this the metal steams instead of frying [°C]; over it in steps up to the ceiling of a ring. */
export const STEAMS_UNDER_C = 140
const BOIL_C = 100
const WIDEST_C = 320
const LEAST_PX = 4
const SHADES = [
  { fromC: 220, heat: 'full' },
  { fromC: 180, heat: 'high' },
  { fromC: STEAMS_UNDER_C, heat: 'medium' },
] as const

/** As wide as the metal is hot above the boil [px]. */
export const widthPx = (tempC: number, channelPx: number): number =>
  Math.max(LEAST_PX, ((Math.min(tempC, WIDEST_C) - BOIL_C) / (WIDEST_C - BOIL_C)) * channelPx)

const heatOf = (tempC: number): HeatBand['heat'] => SHADES.find((shade) => tempC >= shade.fromC)?.heat ?? 'low'

/** The ribbon of a load, cut where the metal passes from one shade to the next; time runs down. */
export function recoveryBands(metal: readonly Point[], channelPx: number, heightPx: number): HeatBand[] {
  const lastS = metal.at(-1)?.timeS ?? 1
  const middle = channelPx / 2
  const y = (timeS: number) => Math.round((timeS / lastS) * heightPx * 10) / 10
  const runs: { heat: HeatBand['heat']; points: Point[] }[] = []
  metal.forEach((point) => {
    const heat = heatOf(point.tempC)
    const open = runs.at(-1)
    if (open?.heat === heat) open.points.push(point)
    else {
      open?.points.push(point)
      runs.push({ heat, points: [point] })
    }
  })
  return runs.map(({ heat, points }) => {
    const side = (sign: 1 | -1, list: readonly Point[]) =>
      list.map(
        ({ timeS, tempC }) => `${Math.round((middle + (sign * widthPx(tempC, channelPx)) / 2) * 10) / 10} ${y(timeS)}`,
      )
    return {
      fromS: points[0]?.timeS ?? 0,
      heat,
      path: `M${[...side(1, points), ...side(-1, [...points].reverse())].join(' L')} Z`,
    }
  })
}
