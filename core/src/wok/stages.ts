import type { Component, EggSchool, Food, HeatSchool, StationKind } from '../book/dish'
import type { CheckedFood } from '../safety/limits'
import {
  BASE_S,
  CUT_FACTOR_RANGE,
  FIRST_OIL_SHARE,
  HOUSE_MAX_S,
  HOUSE_S,
  RAW_PROTEIN_S,
  RICE_BASE_G,
  SCHOOL_HEAT,
  STATE_FACTOR,
} from './houseFigures'
import type { Placed } from './place'
import type { Caution, Cue, Entry, Reason, SafetyCheck, Step } from './score'

/** What the stages need to know of this batch and this kitchen. */
export type Kitchen = {
  massG: (component: Component) => number
  amount: (component: Component, share: number, motion: Entry['motion']) => Entry
  limit: (food: CheckedFood) => SafetyCheck
  heatSchool: HeatSchool
  stationKind: StationKind
  riceMassG: number
}

export type Draft = Omit<Step, 'id' | 'startS' | 'check' | 'figure'> & { check?: SafetyCheck }

const whole = (kitchen: Kitchen, components: readonly Component[], motion: Entry['motion']) =>
  components.map((component) => kitchen.amount(component, 1, motion))

const massOf = (kitchen: Kitchen, components: readonly Component[]) =>
  components.reduce((sum, component) => sum + kitchen.massG(component), 0)

export function preheat({ stationKind }: Kitchen): Draft {
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

/** Oil goes in once, or in halves when the vessel is emptied between the egg or protein and the base. */
function oil(placed: Placed, kitchen: Kitchen, share: number, heat: Step['heat']): Draft[] {
  if (placed.oil.length === 0 || share <= 0) return []
  return [
    {
      action: 'oilIn',
      durationS: HOUSE_S.oilIn,
      heat,
      entries: placed.oil.map((component) => kitchen.amount(component, share, 'in')),
      cue: 'oilShimmers',
      reason: 'oilKeepsOff',
      cautions: ['oilNearSmoke'],
    },
  ]
}

function leavesVessel(placed: Placed, egg: EggSchool): boolean {
  return egg === 'firstOut' || placed.rawProtein.length > 0
}

export function eggSteps(placed: Placed, egg: EggSchool, kitchen: Kitchen): Draft[] {
  if (egg !== 'firstOut') return []
  const heat = SCHOOL_HEAT[kitchen.heatSchool].egg
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

export function ownSteps(placed: Placed, egg: EggSchool, kitchen: Kitchen): Draft[] {
  const heat = SCHOOL_HEAT[kitchen.heatSchool].own
  const firstOil = egg === 'firstOut' ? [] : oil(placed, kitchen, FIRST_OIL_SHARE, heat)
  const own = placed.rawProtein.flatMap((component): Draft[] => [
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
function rawProteinS({ food, cut }: Component): number {
  const figure = RAW_PROTEIN_S[food] ?? { seconds: 110, cutMm: 5 }
  const factor = (cut?.sizeMm ?? figure.cutMm) / figure.cutMm
  return figure.seconds * Math.min(CUT_FACTOR_RANGE.most, Math.max(CUT_FACTOR_RANGE.least, factor))
}

/** An unknown raw protein is checked as poultry, the strictest. */
function checkedFood(food: Food): CheckedFood {
  return food === 'seafood' || food === 'meat' || food === 'mince' ? food : 'poultry'
}

export function baseSteps(placed: Placed, egg: EggSchool, kitchen: Kitchen): Draft[] {
  const heat = SCHOOL_HEAT[kitchen.heatSchool].base
  const share = leavesVessel(placed, egg) ? 1 - FIRST_OIL_SHARE : 1
  const base = (components: readonly Component[], cue: Cue, reason: Reason, cautions: readonly Caution[]): Draft[] =>
    components.length === 0
      ? []
      : [
          {
            action: 'baseIn',
            durationS: Math.max(...components.map(baseNeedS)),
            heat,
            entries: whole(kitchen, components, 'in'),
            cue,
            reason,
            cautions,
          },
        ]
  return [
    ...oil(placed, kitchen, share, heat),
    ...base(placed.slow, 'softened', 'slowFirst', ['wetIntoOil']),
    ...base(placed.quick, 'fragrant', 'aromaticsBurnSoon', []),
    ...base(placed.paste, 'fragrant', 'pasteBlooms', ['chilliVapour']),
    ...base(placed.crisp, 'tenderCrisp', 'slowFirst', []),
    ...base(placed.ready, 'heatedThrough', 'readyOnlyWarms', []),
  ]
}

function baseNeedS({ food, state, role }: Component): number {
  const figureS = role === 'protein' ? HOUSE_S.readyProtein : (BASE_S[food] ?? HOUSE_S.readyProtein)
  return figureS * (role === 'protein' ? 1 : (STATE_FACTOR[state] ?? 1))
}

export function riceSteps(placed: Placed, egg: EggSchool, kitchen: Kitchen): Draft[] {
  const heat = SCHOOL_HEAT[kitchen.heatSchool]
  const riceS = HOUSE_S.riceBase + HOUSE_S.ricePerG * Math.max(0, kitchen.riceMassG - RICE_BASE_G)
  const steps: Draft[] = [
    {
      action: 'riceIn',
      durationS: Math.min(HOUSE_MAX_S.rice, riceS),
      heat: heat.rice,
      entries: whole(kitchen, placed.rice, 'in'),
      cue: 'grainsJump',
      reason: 'riceNeedsDryHeat',
      cautions: kitchen.stationKind === 'wok' ? ['heavyWok'] : [],
    },
  ]
  if (placed.dry.length > 0) {
    steps.push({
      action: 'dryIn',
      durationS: HOUSE_S.drySeasoning,
      heat: heat.rice,
      entries: whole(kitchen, placed.dry, 'in'),
      cue: 'spreadEven',
      reason: 'dryDissolvesFirst',
      cautions: [],
    })
  }
  if (egg === 'well') {
    steps.push({
      action: 'eggWell',
      durationS: Math.min(HOUSE_MAX_S.egg, HOUSE_S.eggWellBase + HOUSE_S.eggPerG * massOf(kitchen, placed.egg)),
      heat: heat.egg,
      entries: whole(kitchen, placed.egg, 'in'),
      cue: 'eggFolded',
      reason: 'eggWellKeepsRiceDry',
      cautions: [],
      check: kitchen.limit('egg'),
    })
  }
  return steps
}

export function lateSteps(placed: Placed, egg: EggSchool, kitchen: Kitchen): Draft[] {
  const heat = SCHOOL_HEAT[kitchen.heatSchool]
  const back = [...(egg === 'firstOut' ? placed.egg : []), ...placed.rawProtein]
  const late = (
    action: Step['action'],
    durationS: number,
    components: Component[],
    rest: Pick<Draft, 'cue' | 'reason'>,
  ) =>
    components.length === 0
      ? []
      : [{ action, durationS, heat: heat.late, entries: whole(kitchen, components, 'in'), cautions: [], ...rest }]
  const onTop: Draft[] =
    egg === 'onTop'
      ? [
          {
            action: 'eggOnTop',
            durationS: HOUSE_S.eggOnTop,
            heat: heat.egg,
            entries: whole(kitchen, placed.egg, 'plate'),
            cue: 'eggOnTopSet',
            reason: 'eggOnOtherSurface',
            cautions: ['wetIntoOil'],
            check: kitchen.limit('egg'),
          },
        ]
      : []
  return [
    ...late('sauceIn', HOUSE_S.liquidSeasoning, placed.sauce, { cue: 'sizzlesDry', reason: 'sauceCaramelisesOnMetal' }),
    ...late('leavesIn', HOUSE_S.leaf, placed.leaf, { cue: 'wilted', reason: 'leavesWiltLast' }),
    ...onTop,
    ...(back.length === 0
      ? []
      : [
          {
            action: 'bringBack' as const,
            durationS: HOUSE_S.returns,
            heat: heat.return,
            entries: whole(kitchen, back, 'back'),
            cue: 'tossedThrough' as const,
            reason: 'backToWarm' as const,
            cautions: [],
          },
        ]),
  ]
}

export function finishSteps(placed: Placed, kitchen: Kitchen): Draft[] {
  const steps: Draft[] = [
    {
      action: 'hotCheck',
      durationS: HOUSE_S.hotCheck,
      heat: SCHOOL_HEAT[kitchen.heatSchool].return,
      entries: [],
      cue: 'steamingThrough',
      reason: 'riceMustBeHot',
      cautions: ['lotNotRescued'],
      check: kitchen.limit('rice'),
    },
  ]
  if (placed.finish.length > 0) {
    steps.push({
      action: 'finishOff',
      durationS: HOUSE_S.finish,
      heat: 'off',
      entries: whole(kitchen, placed.finish, 'in'),
      cue: 'tossedThrough',
      reason: 'offSoItStaysFresh',
      cautions: [],
    })
  }
  steps.push({
    action: 'pickUp',
    durationS: HOUSE_S.pickUp,
    heat: 'off',
    entries: whole(kitchen, placed.garnish, 'plate'),
    cue: 'plated',
    reason: 'handOver',
    cautions: [],
  })
  return steps
}
