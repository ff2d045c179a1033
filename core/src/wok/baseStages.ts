import type { Component, EggSchool } from '../book/dish'
import { BASE_S, FIRST_OIL_SHARE, HOUSE_MAX_S, HOUSE_S, RICE_BASE_G, SCHOOL_HEAT, STATE_FACTOR } from './houseFigures'
import type { PlacedComponent } from './place'
import type { Caution, Cue, Reason } from './score'
import { leavesVessel, massOf, oil, whole, type StepDraft, type Kitchen } from './stageParts'

/** Aromatics, pastes and vegetables: slow ones first, what burns soon right before the rice, what is ready last. */
export function baseSteps(placed: PlacedComponent, egg: EggSchool, kitchen: Kitchen): StepDraft[] {
  const heat = SCHOOL_HEAT[kitchen.schools.heat].base
  const share = leavesVessel(placed, egg) ? 1 - FIRST_OIL_SHARE : 1
  const base = (
    components: readonly Component[],
    cue: Cue,
    reason: Reason,
    cautions: readonly Caution[],
  ): StepDraft[] =>
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

/** Rice on full flame, dry seasoning, and the egg of the school *well*. */
export function riceSteps(placed: PlacedComponent, egg: EggSchool, kitchen: Kitchen): StepDraft[] {
  const heat = SCHOOL_HEAT[kitchen.schools.heat]
  const hasCrust = kitchen.schools.rice === 'crust'
  const riceS = HOUSE_S.riceBase + HOUSE_S.ricePerG * Math.max(0, kitchen.riceMassG - RICE_BASE_G)
  const steps: StepDraft[] = [
    {
      action: 'riceIn',
      durationS: Math.min(HOUSE_MAX_S.rice, riceS + (hasCrust ? HOUSE_S.riceCrust : 0)),
      heat: heat.rice,
      entries: whole(kitchen, placed.rice, 'in'),
      cue: hasCrust ? 'crustForms' : 'grainsJump',
      reason: hasCrust ? 'crustLeftAlone' : 'riceNeedsDryHeat',
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
