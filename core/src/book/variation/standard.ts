import type { Component, HouseStandard } from '../dish'

/** How a dish differs from the standard that its name is bound to. */
export type Deviation =
  | { kind: 'missing'; name: string; wantedG: number }
  | { kind: 'amount'; name: string; wantedG: number; foundG: number; fraction: number }

/**
 * What a dish would break of its house standard, per 100 g of rice, before it is cooked: lines that are missing and amounts
 * outside their tolerance. What the standard does not name is free.
 */
export function deviationsFrom(standard: HouseStandard, components: readonly Component[]): Deviation[] {
  const rice = components.filter((one) => one.role === 'rice').reduce((sum, one) => sum + one.ratioG, 0) || 100
  return standard.lines.flatMap((line): Deviation[] => {
    const foundG = components
      .filter((one) => one.id === line.componentId)
      .reduce((sum, one) => sum + (one.ratioG / rice) * 100, 0)
    if (foundG === 0) return [{ kind: 'missing', name: line.name, wantedG: line.ratioG }]
    const fraction = foundG / line.ratioG - 1
    if (Math.abs(fraction) <= line.toleranceFraction + 1e-9) return []
    return [{ kind: 'amount', name: line.name, wantedG: line.ratioG, foundG, fraction }]
  })
}

/** A standard as the dish stands now, every line within the same tolerance. */
export function standardOf(name: string, components: readonly Component[], toleranceFraction: number): HouseStandard {
  return {
    name,
    lines: components
      .filter((one) => one.role !== 'rice')
      .map(({ id, name: componentName, ratioG }) => ({
        componentId: id,
        name: componentName,
        ratioG,
        toleranceFraction,
      })),
  }
}
