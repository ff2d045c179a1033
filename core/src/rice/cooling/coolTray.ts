/* oxlint-disable max-lines -- one time step of one solver */
import type { Surroundings } from './coolingPlace'
import { readAt } from './byTemperature'
import { FROZEN_WATER_SHARE, freezing, type Freezing } from './freezing'
import { usualGrid, type Grid } from './grid'
import { growthRates, ORGANISM_NAMES, type OrganismName } from './growth'
import { riceBed, waterActivity, type RiceBed } from './riceBed'
import { topFlux, type TopFlux } from './topFlux'
import { solveTridiagonal } from './tridiagonal'

const { abs, max, min } = Math

/** Depths that the model is asked for [m]: thinner is a film, thicker is a pot. */
export const MIN_DEPTH_M = 0.005
/** Deeper than this is a pot, not a tray [m]. */
export const MAX_DEPTH_M = 0.2
/** Water by mass of rice as it leaves the heat, where nothing was weighed. */
const USUAL_WATER_FRACTION = 0.62

/** A stretch of cooling in one surrounding [s]. */
export type TrayStage = { durationS: number; surroundings: Surroundings }
/** A tray as it begins to cool: depth [m] and temperature [°C]. */
export type Tray = {
  depthM: number
  startTempC: number
  waterFraction?: number | undefined
  /** For analysis: constant properties instead of rice. */
  constant?: { conductivityWPerMK: number; heatCapacityJPerM3K: number }
}

/** A tray through its stages. `timesS` and `coreC` go together; `core` is the warmest point at that time. */
export type TrayCooling = {
  timesS: number[]
  coreC: number[]
  /** Bottom to top, at the end. */
  profileTempC: number[]
  profileWaterFraction: number[]
  /** Water lost by mass of the rice at the start; 0 for constant properties. */
  massLossFraction: number
  /** Growth rate over time [1/h · h] of the place in the tray where most grows; 0 for constant properties. */
  growthIntegral: Readonly<Record<OrganismName, number>>
  /** What the books of heat and water miss, by what passed through them: rounding only. */
  energyResidual: number
  waterResidual: number
}

const GROWTH = 1.12
const SHRINKING = 0.5
/** Where rice freezes, its heat content bends: passes until the temperatures stand still. */
const MAX_PASSES = 40
const SETTLED_K = 1e-8
const NEAR_FREEZING_K = 0.5
/** Change of the water activity at the surface in a step, above which the next is shorter: drying bends fast. */
const MAX_DRYING = 0.02
/** A step in two implicit stages of second order that damp what is stiff (SDIRK2, L-stable). */
const GAMMA = 1 - Math.SQRT1_2

/**
 * Core temperature [°C] of a tray of rice over its stages [s]: heat conduction in one dimension, implicit finite
 * volumes, evaporation and radiation at the top, conduction through the tray at the bottom, latent heat where it freezes. Against the series for a
 * plane wall within 0.1 %; coefficients of real places are house figures, ±30 %, until readings calibrate them.
 * @throws {RangeError} for a depth, temperature or stage that no tray has
 */
export function coolTray(tray: Tray, stages: readonly TrayStage[], grid = usualGrid(tray.depthM)): TrayCooling {
  if (!(tray.depthM >= MIN_DEPTH_M && tray.depthM <= MAX_DEPTH_M))
    throw new RangeError(`depthM ${tray.depthM} is outside ${MIN_DEPTH_M}–${MAX_DEPTH_M}`)
  if (!(tray.startTempC >= -10 && tray.startTempC <= 100))
    throw new RangeError(`startTempC ${tray.startTempC} is outside −10–100`)
  return new Simulation(tray, grid).through(stages)
}

class Simulation {
  private readonly widthsM: Float64Array
  private readonly bed: RiceBed | null
  private readonly heat: Freezing
  private readonly dryKgPerM3: number
  private temp: Float64Array
  private stageTemp: Float64Array
  private readonly base: Float64Array
  private readonly water: Float64Array
  private readonly activity: Float64Array
  private readonly conductivity: Float64Array
  private readonly lower: Float64Array
  private readonly diagonal: Float64Array
  private readonly upper: Float64Array
  private readonly right: Float64Array
  private readonly scratch: Float64Array
  private readonly flux: TopFlux
  private readonly startWaterKgPerM2: number
  private readonly before: Float64Array
  private readonly rates = ORGANISM_NAMES.map(ratesOf)
  private readonly grown: Float64Array[]
  private timeS = 0
  private heatOutJPerM2 = 0
  private heatThroughJPerM2 = 0
  private waterOutKgPerM2 = 0
  /** What left in the last stage of a step, at its linear fluxes. */
  private stageHeatWPerM2 = 0
  private stageWaterKg = 0

  constructor(
    private readonly tray: Tray,
    private readonly grid: Grid,
  ) {
    const n = grid.widthsM.length
    const waterFraction = tray.waterFraction ?? USUAL_WATER_FRACTION
    this.widthsM = Float64Array.from(grid.widthsM)
    this.bed = tray.constant ? null : riceBed(waterFraction)
    const waterKgPerM3 = this.bed ? this.bed.densityKgPerM3 * waterFraction * FROZEN_WATER_SHARE : 0
    this.heat = freezing(tray.constant?.heatCapacityJPerM3K ?? this.bed?.heatCapacityJPerM3K ?? 0, waterKgPerM3)
    this.dryKgPerM3 = this.bed?.dryDensityKgPerM3 ?? 1
    const array = () => new Float64Array(n)
    this.temp = array().fill(tray.startTempC)
    this.stageTemp = array()
    this.base = array()
    this.water = array().fill(waterFraction / (1 - waterFraction))
    this.activity = array()
    this.readActivity()
    this.conductivity = array()
    this.lower = array()
    this.diagonal = array()
    this.upper = array()
    this.right = array()
    this.scratch = array()
    this.before = array()
    this.grown = ORGANISM_NAMES.map(array)
    this.startWaterKgPerM2 = this.over(this.water) * this.dryKgPerM3
    this.flux = {
      heatWPerM2: 0,
      heatSlopeWPerM2K: 0,
      waterKgPerM2S: 0,
      waterSlopeKgPerM2SK: 0,
      surfaceTempC: tray.startTempC,
    }
  }

  through(stages: readonly TrayStage[]): TrayCooling {
    const timesS = [0]
    const coreC = [this.tray.startTempC]
    for (const stage of stages) {
      const endS = this.timeS + stage.durationS
      let stepS = this.grid.firstStepS
      while (this.timeS < endS - 1e-9) {
        const left = endS - this.timeS
        const takenS = left < 1.5 * stepS ? left : stepS
        const activity = this.activity.at(-1)!
        this.step(takenS, stage.surroundings)
        this.timeS += takenS
        this.grow(takenS)
        timesS.push(this.timeS)
        coreC.push(this.coreC(stage.surroundings))
        const drying = abs(this.activity.at(-1)! - activity) / MAX_DRYING
        stepS = min(stepS * min(GROWTH, max(SHRINKING, 1 / drying)), this.grid.mostStepS)
      }
    }
    return this.result(timesS, coreC)
  }

  private step(stepS: number, surroundings: Surroundings): void {
    const { temp, base, stageTemp } = this
    const innerS = GAMMA * stepS
    const waterBefore = this.waterOutKgPerM2
    const { heatJPerM3 } = this.heat
    for (let i = 0; i < temp.length; i += 1) base[i] = heatJPerM3(temp[i]!)
    stageTemp.set(temp)
    this.solveStage(innerS, surroundings)
    this.book((1 - GAMMA) * stepS)
    const share = (1 - GAMMA) / GAMMA
    for (let i = 0; i < temp.length; i += 1) base[i]! += share * (heatJPerM3(stageTemp[i]!) - base[i]!)
    this.solveStage(innerS, surroundings)
    this.book(innerS)
    this.temp = stageTemp
    this.stageTemp = temp
    if (this.bed) this.moveWater(this.bed, stepS, (this.waterOutKgPerM2 - waterBefore) / stepS)
  }

  private book(seconds: number): void {
    this.heatOutJPerM2 += this.stageHeatWPerM2 * seconds
    this.heatThroughJPerM2 += abs(this.stageHeatWPerM2) * seconds
    if (this.bed) this.waterOutKgPerM2 += this.stageWaterKg * seconds
  }

  /** Solves heat(stage) = base + innerS · rate(stage), from the guess in `stageTemp`; more passes where it bends. */
  private solveStage(innerS: number, surroundings: Surroundings): void {
    const { stageTemp, lower, diagonal, upper, right, base, widthsM } = this
    const n = widthsM.length
    const last = n - 1
    const { heatJPerM3, capacityJPerM3K, startsC } = this.heat
    for (let pass = 0; pass < MAX_PASSES; pass += 1) {
      this.readConductivity()
      let isFreezing = false
      const k = this.conductivity
      let previous = 0
      for (let i = 0; i < n; i += 1) {
        const next = i < last ? 2 / (widthsM[i]! / k[i]! + widthsM[i + 1]! / k[i + 1]!) : 0
        const here = stageTemp[i]!
        const capacity = capacityJPerM3K(here)
        const perS = widthsM[i]! / innerS
        lower[i] = -previous
        upper[i] = -next
        diagonal[i] = capacity * perS + previous + next
        right[i] = (capacity * here - heatJPerM3(here) + base[i]!) * perS
        previous = next
        if (here < startsC + NEAR_FREEZING_K) isFreezing = true
      }
      const bottom = halfCell(surroundings.bottom.heatTransferWPerM2K, k[0]!, widthsM[0]!)
      diagonal[0]! += bottom
      right[0]! += bottom * surroundings.bottom.tempC
      const conductance = (2 * k[last]!) / widthsM[last]!
      const before = stageTemp[last]!
      if (isFreezing) this.before.set(stageTemp)
      topFlux(surroundings.top, before, conductance, this.activity[last]!, this.flux)
      const { heatWPerM2, heatSlopeWPerM2K, waterKgPerM2S, waterSlopeKgPerM2SK } = this.flux
      diagonal[last]! += heatSlopeWPerM2K
      right[last]! += heatSlopeWPerM2K * before - heatWPerM2
      solveTridiagonal(lower, diagonal, upper, right, this.scratch, stageTemp)
      const change = stageTemp[last]! - before
      this.stageHeatWPerM2 =
        heatWPerM2 + heatSlopeWPerM2K * change + bottom * (stageTemp[0]! - surroundings.bottom.tempC)
      this.stageWaterKg = waterKgPerM2S + waterSlopeKgPerM2SK * change
      if (isFreezing ? this.mostChange() < SETTLED_K : abs(change) < 0.02 || pass === 2) break
    }
  }

  private mostChange(): number {
    let most = 0
    for (let i = 0; i < this.before.length; i += 1) most = max(most, abs(this.stageTemp[i]! - this.before[i]!))
    return most
  }

  /** What grows in each cell meanwhile. */
  private grow(stepS: number): void {
    if (!this.bed) return
    const hours = stepS / 3600
    for (let k = 0; k < this.rates.length; k += 1) {
      const grown = this.grown[k]!
      const rates = this.rates[k]!
      for (let i = 0; i < grown.length; i += 1) grown[i]! += readAt(rates, this.temp[i]!) * hours
    }
  }

  private readConductivity(): void {
    const { conductivity, stageTemp, activity, bed } = this
    const constant = this.tray.constant?.conductivityWPerMK ?? 0
    for (let i = 0; i < conductivity.length; i += 1)
      conductivity[i] = bed ? bed.conductivity(stageTemp[i]!, activity[i]!) : constant
  }

  private readActivity(): void {
    if (this.bed) for (let i = 0; i < this.water.length; i += 1) this.activity[i] = waterActivity(this.water[i]!)
  }

  /** Water evens out inside and leaves at the top at the rate that the heat balance found. */
  private moveWater(bed: RiceBed, stepS: number, outKgPerM2S: number): void {
    const { lower, diagonal, upper, right, water, temp, widthsM } = this
    const n = widthsM.length
    const density = this.dryKgPerM3
    let previous = 0
    let here = bed.waterDiffusivityM2PerS(temp[0]!, water[0]!)
    for (let i = 0; i < n; i += 1) {
      let next = 0
      if (i < n - 1) {
        const above = bed.waterDiffusivityM2PerS(temp[i + 1]!, water[i + 1]!)
        next = ((here + above) * density) / (widthsM[i]! + widthsM[i + 1]!)
        here = above
      }
      const storage = (density * widthsM[i]!) / stepS
      lower[i] = -previous
      upper[i] = -next
      diagonal[i] = storage + previous + next
      right[i] = storage * water[i]!
      previous = next
    }
    right[n - 1]! -= outKgPerM2S
    solveTridiagonal(lower, diagonal, upper, right, this.scratch, water)
    this.readActivity()
  }

  /** The warmest point: the top of a parabola through the warmest cell and its neighbours, or a wall that is warmer. */
  private coreC({ bottom }: Surroundings): number {
    const { temp, widthsM } = this
    let at = 0
    for (let i = 1; i < temp.length; i += 1) if (temp[i]! > temp[at]!) at = i
    const middle = temp[at]!
    if (at === temp.length - 1) return max(middle, this.flux.surfaceTempC)
    const above = temp[at + 1]!
    if (at === 0) {
      if (bottom.heatTransferWPerM2K === 0) return middle + (middle - above) / 8
      const k = this.conductivity[0]!
      const out = halfCell(bottom.heatTransferWPerM2K, k, widthsM[0]!) * (middle - bottom.tempC)
      return max(middle, middle - (out * widthsM[0]!) / (2 * k))
    }
    const below = temp[at - 1]!
    const bend = below - 2 * middle + above
    return bend < 0 ? middle - ((above - below) * (above - below)) / (8 * bend) : middle
  }

  /** A value by volume, over the depth. */
  private over(values: Float64Array): number {
    let sum = 0
    for (let i = 0; i < values.length; i += 1) sum += values[i]! * this.widthsM[i]!
    return sum
  }

  private result(timesS: number[], coreC: number[]): TrayCooling {
    const heatLeft = this.over(this.temp.map(this.heat.heatJPerM3))
    const heatLost = this.heat.heatJPerM3(this.tray.startTempC) * this.tray.depthM - heatLeft
    const mostGrown = (k: number) => this.grown[k]!.reduce((most, one) => max(most, one), 0)
    const waterLeft = this.over(this.water) * this.dryKgPerM3
    const startMassKgPerM2 = (this.bed?.densityKgPerM3 ?? 1) * this.tray.depthM
    return {
      timesS,
      coreC,
      profileTempC: [...this.temp],
      profileWaterFraction: this.bed ? [...this.water].map((x) => x / (1 + x)) : [],
      massLossFraction: this.bed ? this.waterOutKgPerM2 / startMassKgPerM2 : 0,
      growthIntegral: { bacillusCereus: mostGrown(0), clostridiumPerfringens: mostGrown(1) },
      energyResidual: this.heatThroughJPerM2 > 0 ? abs(heatLost - this.heatOutJPerM2) / this.heatThroughJPerM2 : 0,
      waterResidual: this.bed
        ? abs(this.startWaterKgPerM2 - waterLeft - this.waterOutKgPerM2) / this.startWaterKgPerM2
        : 0,
    }
  }
}

const tables = new Map<OrganismName, Float64Array>()
function ratesOf(name: OrganismName): Float64Array {
  const known = tables.get(name) ?? growthRates(name)
  tables.set(name, known)
  return known
}

const halfCell = (faceWPerM2K: number, conductivityWPerMK: number, cellM: number): number =>
  faceWPerM2K === 0 ? 0 : 1 / (1 / faceWPerM2K + cellM / (2 * conductivityWPerMK))
