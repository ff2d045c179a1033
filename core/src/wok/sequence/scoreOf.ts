import type { Batch } from '../../book/batchComponents'
import { amountOf, totalMassG } from '../../book/scale'
import type { MeasureTools } from '../../measure/practical'
import type { Entry, Score, ScoreBasis, Step } from '../score'
import { groupSteps } from './groupSteps'
import { numbered, type DerivedStep } from './steps'

const PICK_UP_S = 5
type StepWithoutPlace = Omit<Step, 'id' | 'startS'>

/**
 * A derived way as the score of a batch: from heating up at second 0, step after step without a gap, with what only some
 * portions get, to the pick-up. What is fried on another surface stands in line at the second at which it begins there; the
 * step that it interrupts ends there, and it takes what was left of it.
 */
export function scoreOf(derived: readonly DerivedStep[], batch: Batch, basis: ScoreBasis, tools: MeasureTools): Score {
  const heatingS = -(derived[0]?.startS ?? 0)
  const line = inLine(withReadableOil(withoutBareOff(derived))).map((step) => stepOf(step, batch, tools, heatingS))
  const isUp = line.at(-1)?.action === 'pickUp'
  const steps = placed([
    ...(isUp ? line.slice(0, -1) : line),
    ...groupSteps(batch.groups, tools),
    isUp ? line.at(-1)! : PICK_UP,
  ])
  const last = steps.at(-1)!
  const added: Entry[] = steps.flatMap(({ entries }) =>
    entries.filter(({ motion }) => motion === 'in' || motion === 'plate'),
  )
  return {
    engine: 'heat-1',
    steps,
    totalS: last.startS + last.durationS,
    riceMassG: batch.riceMassG,
    batchMassG: totalMassG(added),
    basis,
  }
}

const PICK_UP: StepWithoutPlace = {
  action: 'pickUp',
  durationS: PICK_UP_S,
  handsOnS: PICK_UP_S,
  heat: 'off',
  entries: [],
  cue: 'plated',
  reason: 'handOver',
  cautions: [],
  check: null,
  figure: 'house',
  surface: 'station',
}

/** The flame goes off with what comes after it, where that says so itself. */
function withoutBareOff(steps: readonly DerivedStep[]): DerivedStep[] {
  const at = steps.findIndex(({ action }) => action === 'flameOff')
  const off = steps[at]
  const next = steps[at + 1]
  if (!off || next?.action !== 'finishOff') return [...steps]
  return [
    ...steps.slice(0, at),
    { ...next, startS: off.startS, durationS: next.durationS + off.durationS },
    ...steps.slice(at + 2),
  ]
}

/** Shorter than this nobody reads a step at arm's length [s]. */
const READ_S = 5

/**
 * Oil takes two seconds, which nobody reads: the first time it is called while the last of the heating goes on, later it is the
 * first thing of the step that it is for.
 */
function withReadableOil(steps: readonly DerivedStep[]): DerivedStep[] {
  const read: DerivedStep[] = []
  let poured: DerivedStep | null = null
  for (const step of steps) {
    const before = read.at(-1)
    const isShort = step.action === 'oilIn' && step.durationS < READ_S
    const missingS = READ_S - step.durationS
    if (isShort && before?.action === 'heatVessel' && before.durationS > missingS) {
      read[read.length - 1] = { ...before, durationS: before.durationS - missingS }
      read.push({ ...step, startS: step.startS - missingS, durationS: READ_S, latestS: step.latestS - missingS })
    } else if (isShort && before && poured === null) {
      poured = step
    } else if (poured !== null) {
      read.push(withOil(poured, step))
      poured = null
    } else read.push(step)
  }
  return poured ? [...read, poured] : read
}

const withOil = (oil: DerivedStep, step: DerivedStep): DerivedStep => ({
  ...step,
  startS: oil.startS,
  durationS: oil.durationS + step.durationS,
  handsOnS: oil.handsOnS + step.handsOnS,
  latestS: oil.latestS,
  entries: [...oil.entries, ...step.entries],
  cautions: [...new Set([...oil.cautions, ...step.cautions])],
  figures: { ...oil.figures, ...step.figures },
})

/** One step after the other: what begins beside splits the step in which it falls, and its check waits on the plate. */
function inLine(steps: readonly DerivedStep[]): DerivedStep[] {
  const beside = steps.find(({ surface }) => surface === 'beside')
  const own = steps.filter((step) => step !== beside)
  if (!beside) return own
  const isBeside = (componentId: string) => beside.entries.some((entry) => entry.componentId === componentId)
  const plated = own.map((step) =>
    step.entries.some((entry) => entry.motion === 'plate' && isBeside(entry.componentId))
      ? {
          ...step,
          check: beside.check,
          cautions: [...step.cautions, ...beside.cautions.filter((one) => one === 'runnyEgg')],
          entries: step.entries.map((entry) =>
            isBeside(entry.componentId) ? { ...entry, motion: 'back' as const } : entry,
          ),
        }
      : step,
  )
  const first = plated[0]?.startS ?? 0
  const fromS = Math.max(first, beside.startS)
  const at = plated.filter(({ startS }) => startS <= fromS).length - 1
  const split = plated[at]
  if (!split) return plated
  const beforeS = fromS - split.startS
  const restS = split.durationS - beforeS
  const waits = split.check !== null
  const egg: DerivedStep = { ...beside, startS: fromS, durationS: waits ? 0 : restS, heat: split.heat, check: null }
  return waits || beforeS === 0
    ? [
        ...plated.slice(0, at),
        { ...egg, durationS: Math.min(beside.handsOnS, split.durationS) },
        { ...split, durationS: Math.max(0, split.durationS - beside.handsOnS) },
        ...plated.slice(at + 1),
      ]
    : [...plated.slice(0, at), { ...split, durationS: beforeS }, egg, ...plated.slice(at + 1)]
}

function stepOf(step: DerivedStep, batch: Batch, tools: MeasureTools, heatingS: number): StepWithoutPlace {
  const { action, durationS, heat, cue, reason, cautions, check, figures, handsOnS, latestS, surface } = step
  const entries = step.entries.flatMap(({ componentId, massG, motion }): Entry[] => {
    const one = batch.shared.find(({ component }) => component.id === componentId)
    return one ? [{ ...amountOf(one.component, massG, tools), motion }] : []
  })
  return {
    action,
    durationS,
    heat,
    entries,
    cue,
    reason,
    cautions,
    check,
    figure: 'model',
    figures,
    handsOnS,
    latestS: latestS + heatingS,
    surface,
  }
}

/** Steps with an id each, one after the other from second 0. */
function placed(drafts: readonly StepWithoutPlace[]): Step[] {
  let startS = 0
  return numbered(drafts).map((draft): Step => {
    const step = { ...draft, startS }
    startS += draft.durationS
    return step
  })
}
