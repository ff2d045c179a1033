import {
  RiceCoolInput,
  RiceCoolOutput,
  RiceHowMuchInput,
  RiceHowMuchOutput,
  RiceWaterInput,
  RiceWaterOutput,
} from 'contract/riceModels'
import { coolTray, type Tray, type TrayStage } from 'core/rice/cooling/coolTray'
import { growthLog10 } from 'core/rice/cooling/growth'
import { coolsToS, judgeCurve, type Curve } from 'core/rice/cooling/judgeCurve'
import { largestPassingDepthM, trayStages, untilDecided } from 'core/rice/cooling/predictCooling'
import { forecastPortions } from 'core/rice/plan/forecast'
import { cookedMassWantedG, portionsToCover, sufficientShare } from 'core/rice/plan/howMuch'
import { waterForTarget } from 'core/rice/waterBalance'
import { COOLING_LIMITS } from 'core/safety/coolingLimits'
import type { Answer, Model } from './model'

const USUAL_READY_WATER_FRACTION = 0.58

const output = (value: unknown): Answer => ({ kind: 'output', output: value })

function water(raw: unknown): Answer {
  return output(waterForTarget(RiceWaterInput.parse(raw)))
}

function howMuch(raw: unknown): Answer {
  const input = RiceHowMuchInput.parse(raw)
  const quantile = sufficientShare(input)
  const history = input.historyPortions.map(({ date, ...rest }) => ({ day: date, ...rest }))
  const forecast = forecastPortions(history, input.day, input.service)
  if (!forecast) {
    const reason = `no day of "${input.service}" before ${input.day} in historyPortions: give at least one`
    const unknown = { portionsExpected: null, portionsLow: null, portionsHigh: null }
    return output({ ...unknown, quantile, portions: null, cookedMassG: null, dryMassG: null, reason })
  }
  const portions = Math.ceil(portionsToCover(forecast.expected, forecast.spread, quantile) - 1e-9)
  const cookedMassG = cookedMassWantedG({ portions, ...input })
  const yieldRatio =
    input.yieldRatio ??
    waterForTarget({ dryMassG: 1, targetWaterFraction: USUAL_READY_WATER_FRACTION, evaporatedG: 0 }).yieldRatio
  return output({
    portionsExpected: forecast.expected,
    portionsLow: forecast.low,
    portionsHigh: forecast.high,
    quantile,
    portions,
    cookedMassG,
    dryMassG: cookedMassG / yieldRatio,
    reason: null,
  })
}

function cool(raw: unknown): Answer {
  const input = RiceCoolInput.parse(raw)
  const limit = COOLING_LIMITS[input.ruleSet]
  const { tray, stages, decided } = trayOf(input)
  const curve = coolTray(tray, stages)
  const whole = coolTray(tray, decided)
  const judgement = judgeCurve(whole, limit)
  const from57S = coolsToS(whole, 57)
  const since57 = (tempC: number) => {
    const atS = coolsToS(whole, tempC)
    return atS === null || from57S === null ? null : atS - from57S
  }
  const from57To21S = since57(21)
  const from57To5S = since57(5)
  const largest = largestPassingDepthM(tray, decided, limit)
  const reasons = [
    ...(from57To21S === null ? ['from57To21S: the warmest point never stands at 21 °C in these stages'] : []),
    ...(from57To5S === null ? ['from57To5S: the warmest point never stands at 5 °C in these stages'] : []),
    ...(largest === 0 ? ['largestPassingDepthM: not even 5 mm keeps the rule there'] : []),
  ]
  return output({
    core: pointsOf(curve),
    profileTempC: curve.profileTempC,
    from57To21S,
    from57To5S,
    passes: judgement.passes,
    steps: judgement.steps,
    largestPassingDepthM: largest,
    massLossFraction: curve.massLossFraction,
    energyResidual: curve.energyResidual,
    waterResidual: curve.waterResidual,
    bacillusCereusLog10: growthLog10('bacillusCereus', curve),
    reasons,
  })
}

const pointsOf = ({ timesS, coreC }: Curve): { timeS: number; tempC: number }[] =>
  timesS.map((timeS, i) => ({ timeS, tempC: coreC[i] ?? Number.NaN }))

/** Places go on for as long as a rule needs to be decided; an analysis ends when it says. */
function trayOf(input: RiceCoolInput): { tray: Tray; stages: TrayStage[]; decided: TrayStage[] } {
  const { depthM, startTempC } = input
  if ('stages' in input) {
    const stages = trayStages(input.stages)
    return { tray: { depthM, startTempC, waterFraction: input.waterFraction }, stages, decided: untilDecided(stages) }
  }
  const { conductivityWPerMK, heatCapacityJPerM3K, top, bottom, durationS } = input
  const dry = { evaporates: false, radiatingShare: 0, humidity: 0 }
  const stages = [{ durationS, surroundings: { top: { ...top, ...dry }, bottom } }]
  const constant = { conductivityWPerMK, heatCapacityJPerM3K }
  return { tray: { depthM, startTempC, constant }, stages, decided: stages }
}

export const RICE_MODELS: Readonly<Record<string, Model>> = {
  'rice.water': { input: RiceWaterInput, output: RiceWaterOutput, run: water },
  'rice.howMuch': { input: RiceHowMuchInput, output: RiceHowMuchOutput, run: howMuch },
  'rice.cool': { input: RiceCoolInput, output: RiceCoolOutput, run: cool },
}
