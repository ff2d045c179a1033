import type { Component, EggSchool } from '../book/dish'
import type { Food } from '../book/food'
import type { CheckedFood } from '../safety/limits'
import {
  CUT_FACTOR_RANGE,
  FIRST_OIL_SHARE,
  HOUSE_MAX_S,
  HOUSE_S,
  RAW_PROTEIN_S,
  SCHOOL_HEAT,
  STATE_FACTOR,
} from './houseFigures'
import type { PlacedComponent } from './place'
import { leavesVessel, massOf, oil, whole, type StepDraft, type Kitchen } from './stageParts'

/** The dry vessel comes up to heat. */
export function preheat({ stationKind }: Kitchen): StepDraft {
  const isWok = stationKind === 'wok'
  return {
    action: 'heatVessel',
    durationS: isWok ? HOUSE_S.heatWok : HOUSE_S.heatGriddle,
    heat: isWok ? 'full' : 'high',
    entries: [],
    cue: 'firstSmoke',
    reason: 'hotMetalDoesNotStick',
    cautions: ['wokToSmoke'],
  }
}

/** Egg by the school *first, out*: set alone, then set aside. */
export function eggSteps(placed: PlacedComponent, egg: EggSchool, kitchen: Kitchen): StepDraft[] {
  if (egg !== 'firstOut') return []
  const heat = SCHOOL_HEAT[kitchen.schools.heat].egg
  const massG = massOf(kitchen, placed.egg)
  return [
    ...oil(placed, kitchen, FIRST_OIL_SHARE, heat),
    {
      action: 'eggIn',
      durationS: Math.min(HOUSE_MAX_S.egg, HOUSE_S.eggBase + HOUSE_S.eggPerG * massG),
      heat,
      entries: whole(kitchen, placed.egg, 'in'),
      cue: 'eggSet',
      reason: 'eggFirstStaysApart',
      cautions: ['wetIntoOil'],
    },
    {
      action: 'eggOut',
      durationS: HOUSE_S.takeOut,
      heat,
      entries: whole(kitchen, placed.egg, 'out'),
      cue: 'eggSet',
      reason: 'eggOutStaysTender',
      cautions: [],
      check: kitchen.limit('egg'),
    },
  ]
}

/** A damp cloth once something was taken out, where the house wipes. */
export function wipeStep(placed: PlacedComponent, egg: EggSchool, kitchen: Kitchen): StepDraft[] {
  if (kitchen.schools.wipe !== 'afterOut' || !leavesVessel(placed, egg)) return []
  return [
    {
      action: 'wipe',
      durationS: HOUSE_S.wipe,
      heat: 'medium',
      entries: [],
      cue: 'metalClean',
      reason: 'wipedSoItDoesNotBurn',
      cautions: ['steamWhenWiped'],
    },
  ]
}

/** Each raw protein alone, checked, and out. */
export function ownSteps(placed: PlacedComponent, egg: EggSchool, kitchen: Kitchen): StepDraft[] {
  const heat = SCHOOL_HEAT[kitchen.schools.heat].own
  const firstOil = egg === 'firstOut' ? [] : oil(placed, kitchen, FIRST_OIL_SHARE, heat)
  const own = placed.rawProtein.flatMap((component): StepDraft[] => [
    {
      action: 'proteinIn',
      durationS: rawProteinS(component),
      heat,
      entries: whole(kitchen, [component], 'in'),
      cue: component.food === 'seafood' ? 'turnsOpaque' : 'noPink',
      reason: component.state === 'marinated' ? 'marinadeScorchesInCompany' : 'rawAloneNeedsItsTime',
      cautions: ['rawTools', 'wetIntoOil'],
    },
    {
      action: 'proteinOut',
      durationS: HOUSE_S.takeOut,
      heat,
      entries: whole(kitchen, [component], 'out'),
      cue: component.food === 'seafood' ? 'turnsOpaque' : 'noPink',
      reason: 'outSoItDoesNotOvercook',
      cautions: ['rawTools'],
      check: kitchen.limit(checkedFood(component.food)),
    },
  ])
  return own.length === 0 ? [] : [...firstOil, ...own]
}

/** A thicker cut takes longer in proportion, within the range that house figures can answer for. */
function rawProteinS({ food, cut, state }: Component): number {
  const figure = RAW_PROTEIN_S[food] ?? { seconds: 110, cutMm: 5 }
  const factor = (cut?.sizeMm ?? figure.cutMm) / figure.cutMm
  const cold = state === 'frozen' ? (STATE_FACTOR.frozen ?? 1) : 1
  return cold * figure.seconds * Math.min(CUT_FACTOR_RANGE.most, Math.max(CUT_FACTOR_RANGE.least, factor))
}

/** An unknown raw protein is checked as poultry, the strictest. */
function checkedFood(food: Food): CheckedFood {
  return food === 'seafood' || food === 'meat' || food === 'mince' || food === 'egg' ? food : 'poultry'
}
