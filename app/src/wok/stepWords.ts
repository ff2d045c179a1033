import type { TempUnit } from 'core/measure/temperature'
import { coreOf } from 'core/safety/limits'
import type { Step } from 'core/wok/score'
import { capital, formatTemp } from '../words/format'
import { useWords } from '../words/i18n'

export type RunStep = Step

/** Names as one phrase: "garlic + ginger", "egg". */
function phraseOf(names: readonly string[]): string {
  return names.length <= 2 ? names.join(' + ') : `${names[0]} + ${names.length - 1}`
}

export type StepWords = {
  title: string
  how: string
  cue: string
  reason: string
  check: string | null
  cautions: string[]
}

/** The words of an action: a plate is heated another way than a wok, and rice that is not asked for a reading is looked at. */
function actionOf({ action, offered, check }: RunStep, isGriddle: boolean) {
  if (action === 'heatVessel' && isGriddle) return 'heatPlate'
  return action === 'hotCheck' && offered && check === null ? 'readGrains' : action
}

/** Everything a cook is told of a step, from the codes of the engine. */
export function useStepWords(readsIn: TempUnit): (step: RunStep, isGriddle: boolean) => StepWords {
  const t = useWords('steps')
  return (step, isGriddle) => {
    const action = actionOf(step, isGriddle)
    const { check } = step
    const names = step.apart?.without ?? step.entries.map((entry) => entry.name)
    const portions = step.apart?.portions ?? step.onPortions ?? 0
    const hold = check && check.limit.holdS > 0 ? `, ${t('checkHold', { holdS: check.limit.holdS })}` : ''
    return {
      title: capital(t(`actions.${action}`, { names: phraseOf(names), portions })),
      how: t(`how.${action}`, { names: names.join(', '), portions }),
      cue: t(`cues.${step.cue}`),
      reason: t(`reasons.${step.reason}`),
      check: check
        ? t(`checks.${check.food}`, { core: formatTemp(coreOf(check.limit), readsIn) }).replace(/\?$/, `${hold}?`)
        : null,
      cautions: step.cautions.map((caution) => t(`cautions.${caution}`)),
    }
  }
}
