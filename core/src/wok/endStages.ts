import type { BatchGroup } from '../book/batchComponents'
import type { Component, EggSchool } from '../book/dish'
import { HOUSE_S, SCHOOL_HEAT } from './houseFigures'
import type { PlacedComponent } from './place'
import type { Step } from './score'
import { whole, type StepDraft, type Kitchen } from './stageParts'

/** Sauce on the metal, leaves, an egg on top, and what was set aside back in. */
export function lateSteps(placed: PlacedComponent, egg: EggSchool, kitchen: Kitchen): StepDraft[] {
  const heat = SCHOOL_HEAT[kitchen.schools.heat]
  const back = [...(egg === 'firstOut' ? placed.egg : []), ...placed.rawProtein]
  const late = (
    action: Step['action'],
    durationS: number,
    components: Component[],
    rest: Pick<StepDraft, 'cue' | 'reason'>,
  ) =>
    components.length === 0
      ? []
      : [{ action, durationS, heat: heat.late, entries: whole(kitchen, components, 'in'), cautions: [], ...rest }]
  const onTop: StepDraft[] =
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
    ...(kitchen.schools.sauce === 'offHeat'
      ? []
      : late('sauceIn', HOUSE_S.liquidSeasoning, placed.sauce, {
          cue: 'sizzlesDry',
          reason: 'sauceCaramelisesOnMetal',
        })),
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

/** The hot-through check on the flame, the finish off it, what only some portions get, and the pick-up. */
export function finishSteps(placed: PlacedComponent, groups: readonly BatchGroup[], kitchen: Kitchen): StepDraft[] {
  const steps: StepDraft[] = [
    {
      action: 'hotCheck',
      durationS: HOUSE_S.hotCheck,
      heat: SCHOOL_HEAT[kitchen.schools.heat].return,
      entries: [],
      cue: 'steamingThrough',
      reason: 'riceMustBeHot',
      cautions: ['lotNotRescued'],
      check: kitchen.limit('rice'),
    },
  ]
  if (kitchen.schools.sauce === 'offHeat' && placed.sauce.length > 0) {
    steps.push({
      action: 'sauceIn',
      durationS: HOUSE_S.finish,
      heat: 'off',
      entries: whole(kitchen, placed.sauce, 'in'),
      cue: 'tossedThrough',
      reason: 'sauceOffHeatStaysBright',
      cautions: [],
    })
  }
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
  steps.push(...groupSteps(groups, kitchen))
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

/**
 * Who declined something gets none of it: those portions are taken out first, then the rest is finished, then each portion
 * that was taken out gets what it does want.
 */
function groupSteps(groups: readonly BatchGroup[], kitchen: Kitchen): StepDraft[] {
  const [inVessel, ...others] = groups
  if (!inVessel) return []
  const off = { heat: 'off' as const, cautions: [] }
  const finish = ({ portions, components }: BatchGroup): StepDraft[] =>
    components.length === 0
      ? []
      : [
          {
            ...off,
            action: 'finishOn',
            durationS: HOUSE_S.finish,
            entries: components.map(({ component, massG }) =>
              kitchen.apart(component, massG, component.role === 'garnish' ? 'plate' : 'in'),
            ),
            cue: 'tossedThrough',
            reason: 'onlyWhoWantsIt',
            onPortions: portions,
          },
        ]
  return [
    ...others.map(({ portions, without }): StepDraft => ({
      ...off,
      action: 'takeOut',
      durationS: HOUSE_S.takeOut,
      entries: [],
      cue: 'setApart',
      reason: 'declinedByGuest',
      apart: { portions, without },
    })),
    ...groups.flatMap(finish),
  ]
}
