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
import { coolsToS, type Curve } from 'core/rice/cooling/judgeCurve'
import { inTrays, type CoolStage } from 'core/rice/cooling/coolingPlace'
import { largestPassingDepthM, mostDepthM, predictCooling, trayStages } from 'core/rice/cooling/predictCooling'
import { forecastPortions } from 'core/rice/plan/forecast'
import type { ForecastNote } from 'core/rice/plan/forecastNote'
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
  const twice = twiceOf(input.historyPortions)
  if (twice) {
    const message = `${twice.date} ${twice.service} stands twice in historyPortions: add the two up, or drop one`
    return { kind: 'faults', faults: [{ field: 'historyPortions', message }] }
  }
  const history = input.historyPortions.map(({ date, service, portions, soldOutAt }) => ({
    day: date,
    service,
    portions,
    isSoldOut: soldOutAt !== undefined,
  }))
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
    reason: forecast.notes.length === 0 ? null : forecast.notes.map((note) => NOTES[note](forecast.days)).join('; '),
  })
}

const NOTES: Readonly<Record<ForecastNote, (days: number) => string>> = {
  fewDays: (days) => `rests on ${days} ${days === 1 ? 'day, which is no season' : 'days'}: the range is wide`,
  old: () => 'the last day on record is more than eight weeks old: the range is wider',
  outlier: () => 'a day far from the others is held to its weight',
  soldOut: () => 'days that sold out are a lower bound, not the demand',
}

/** A service of one day that stands twice, or none. */
const twiceOf = (history: RiceHowMuchInput['historyPortions']) => {
  const seen = new Set<string>()
  return history.find(({ date, service }) => {
    const key = `${date} ${service}`
    if (seen.has(key)) return true
    seen.add(key)
    return false
  })
}

function cool(raw: unknown): Answer {
  const input = RiceCoolInput.parse(raw)
  const limit = COOLING_LIMITS[input.ruleSet]
  const { tray, stages } = trayOf(input)
  const curve = coolTray(tray, stages)
  const { cooling: whole, judgement, endsWarm, passes } = predictCooling(tray, stages, limit)
  const isBelow = judgement.startS === null && tray.startTempC < limit.startC
  const from57S = isBelow ? null : coolsToS(whole, 57)
  const since57 = (tempC: number) => {
    const atS = coolsToS(whole, tempC)
    return atS === null || from57S === null ? null : atS - from57S
  }
  const from57To21S = since57(21)
  const from57To5S = since57(5)
  const largest = isBelow ? null : largestPassingDepthM(tray, stages, limit)
  const advised = 'stages' in input && !isBelow ? mostDepthM(tray, stagesOf(input), limit).advisedM : largest
  const coldC = limit.steps.at(-1)!.tempC
  const below = `starts at ${tray.startTempC} °C, below the rule's ${limit.startC} °C: for how long it cooled before, nobody knows`
  const reasons = isBelow
    ? [`from57To21S, from57To5S, largestPassingDepthM: ${below}`]
    : [
        ...(from57To21S === null ? ['from57To21S: the warmest point never stands at 21 °C in these stages'] : []),
        ...(from57To5S === null ? ['from57To5S: the warmest point never stands at 5 °C in these stages'] : []),
        ...(endsWarm ? [`passes: the last place has air above ${coldC} °C, so it never keeps the rule`] : []),
        ...(!endsWarm && judgement.steps.every((step) => step.passes) && !judgement.staysCold
          ? [`passes: it is above ${coldC} °C again before its stages end`]
          : []),
        ...(largest === 0 ? ['largestPassingDepthM: not even 5 mm keeps the rule there'] : []),
      ]
  return output({
    core: pointsOf(curve),
    profileTempC: curve.profileTempC,
    from57To21S,
    from57To5S,
    passes,
    steps: judgement.steps,
    largestPassingDepthM: largest,
    advisedDepthM: advised,
    massLossFraction: curve.massLossFraction,
    energyResidual: curve.energyResidual,
    waterResidual: curve.waterResidual,
    bacillusCereusLog10: growthLog10('bacillusCereus', curve.growthIntegral.bacillusCereus),
    reasons,
  })
}

const pointsOf = ({ timesS, coreC }: Curve): { timeS: number; tempC: number }[] =>
  timesS.map((timeS, i) => ({ timeS, tempC: coreC[i] ?? Number.NaN }))

/** Stages with the material of the tray where they name none. */
const stagesOf = ({ stages, material }: Extract<RiceCoolInput, { stages: unknown }>): CoolStage[] =>
  inTrays(stages, material)

function trayOf(input: RiceCoolInput): { tray: Tray; stages: TrayStage[] } {
  const { depthM, startTempC } = input
  if ('stages' in input)
    return { tray: { depthM, startTempC, waterFraction: input.waterFraction }, stages: trayStages(stagesOf(input)) }
  const { conductivityWPerMK, heatCapacityJPerM3K, top, bottom, durationS } = input
  const dry = { evaporates: false, radiatingShare: 0, humidity: 0 }
  const stages = [{ durationS, surroundings: { top: { ...top, ...dry }, bottom } }]
  return { tray: { depthM, startTempC, constant: { conductivityWPerMK, heatCapacityJPerM3K } }, stages }
}

export const RICE_MODELS: Readonly<Record<string, Model>> = {
  'rice.water': { input: RiceWaterInput, output: RiceWaterOutput, run: water },
  'rice.howMuch': { input: RiceHowMuchInput, output: RiceHowMuchOutput, run: howMuch },
  'rice.cool': { input: RiceCoolInput, output: RiceCoolOutput, run: cool },
}
