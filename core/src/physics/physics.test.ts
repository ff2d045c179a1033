import { runPython } from '../../outside/runPython'
import { conductivityWPerMK, densityKgPerM3, heatCapacityJPerKgK } from './food'
import { latentHeatJPerKg, saturationPressurePa, saturationSlopePaPerK } from './water'

type Row = {
  tempC: number
  pressurePa: number
  latentJPerKg: number
  heatCapacityJPerKgK: number
  conductivityWPerMK: number
  densityKgPerM3: number
}
const STEAM = runPython<Row[]>('steam.py')

test('steam is that of the library iapws (IAPWS-IF97)', () => {
  for (const row of STEAM) {
    expect(saturationPressurePa(row.tempC) / row.pressurePa).toBeCloseTo(1, 3.3)
    expect(latentHeatJPerKg(row.tempC) / row.latentJPerKg).toBeCloseTo(1, 3)
  }
  const slope = (saturationPressurePa(60.1) - saturationPressurePa(59.9)) / 0.2
  expect(saturationSlopePaPerK(60, saturationPressurePa(60)) / slope).toBeCloseTo(1, 1.5)
})

test('food that is all water has the heat capacity, conductivity and density of water', () => {
  for (const row of STEAM) {
    expect(heatCapacityJPerKgK({ water: 1 }, row.tempC) / row.heatCapacityJPerKgK).toBeCloseTo(1, 1.7)
    expect(conductivityWPerMK({ water: 1 }, row.tempC) / row.conductivityWPerMK).toBeCloseTo(1, 1.2)
    expect(densityKgPerM3({ water: 1 }, row.tempC) / row.densityKgPerM3).toBeCloseTo(1, 2)
  }
})
