import { V_DRY_SIDE, V_PRESSED } from './layout'
import { BOIL_C, BOIL_J_PER_KG, CONTACT, FLOATING, WATER_J_PER_KGK } from './parameters'

const { max, min } = Math

/** What is left of the contact of wet food on metal so hot that drops float on their steam. */
export function floatingShare(metalTempC: number): number {
  const over = (metalTempC - FLOATING.fromC) / (FLOATING.fullC - FLOATING.fromC)
  return 1 - (1 - FLOATING.leaves) * min(1, max(0, over))
}

/** Of one contact: heat from the metal [W/m²], steam [kg/m² s], temperature of the interface [°C]. */
export const contact = new Float64Array(3)

/**
 * The interface between metal and food: without boiling one temperature between the two; with it steam, by what the heat
 * asks for or the food can bring, whichever is less. STEAM holds it at 100 °C, FRY lets it rise.
 */
export function touch(
  metalTempC: number,
  foodTempC: number,
  metalSide: number,
  foodSide: number,
  supply: number,
): void {
  const plainC = (metalSide * metalTempC + foodSide * foodTempC) / (metalSide + foodSide)
  if (plainC <= BOIL_C) {
    contact[0] = metalSide * (metalTempC - plainC)
    contact[1] = 0
    contact[2] = plainC
    return
  }
  const steamJPerKg = BOIL_J_PER_KG + WATER_J_PER_KGK * (BOIL_C - foodTempC)
  const demand = (metalSide * (metalTempC - BOIL_C) - foodSide * (BOIL_C - foodTempC)) / steamJPerKg
  const steam = min(demand, supply)
  const faceC = (metalSide * metalTempC + foodSide * foodTempC - steam * steamJPerKg) / (metalSide + foodSide)
  contact[0] = metalSide * (metalTempC - faceC)
  contact[1] = steam
  contact[2] = faceC
}

/** Heat transfer from metal to a component [W/m² K]: dry, with oil between, and where free water is, wet. */
export function metalSideWPerM2K(fixed: Float64Array, wet: number, floats: number, metalTempC: number): number {
  const wets = floats > 0 ? floatingShare(metalTempC) : 1
  return (
    (CONTACT.dryWPerM2K + CONTACT.oilWPerM2K * fixed[V_DRY_SIDE]! + CONTACT.wetWPerM2K * wet * wets) * fixed[V_PRESSED]!
  )
}
