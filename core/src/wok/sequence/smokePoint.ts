import type { HeatFood } from '../heat/foods'

/**
 * From here on a fat smokes [°C]: typical of refined oil, of butter and of pressed sesame oil. From memory; how a fat was
 * refined and how old it is moves it by tens of degrees.
 */
const SMOKES_AT_C: Readonly<Partial<Record<HeatFood, number>>> = { oil: 225, butter: 150, sesameOil: 177 }
export const smokePointC = (food: HeatFood, known: number | undefined): number | null =>
  known ?? SMOKES_AT_C[food] ?? null
