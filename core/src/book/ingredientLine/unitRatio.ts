import { isMassUnit, MASS_UNIT_G, readUnit, volumeUnitML, type MeasureSystem } from '../../measure/units'

/** How many of one unit go into another, where both are masses or both volumes of the system; null otherwise. */
export function unitRatio(from: string, to: string, system: MeasureSystem): number | null {
  const fromUnit = readUnit(from)
  const toUnit = readUnit(to)
  if (!fromUnit || !toUnit || isMassUnit(fromUnit) !== isMassUnit(toUnit)) return null
  const size = (unit: NonNullable<typeof fromUnit>) =>
    isMassUnit(unit) ? MASS_UNIT_G[unit] : volumeUnitML(unit, system)
  const [fromSize, toSize] = [size(fromUnit), size(toUnit)]
  return fromSize === null || toSize === null ? null : fromSize / toSize
}
