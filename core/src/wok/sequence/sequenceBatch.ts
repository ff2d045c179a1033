import { cookLimit } from '../../safety/limits'
import type { Handling } from '../heat/parameters'
import type { WokComponent } from './component'
import type { Candidate } from './candidate'
import { derive, type Derived, type Rejected, type SequenceInput } from './derive'
import type { TooMuch } from '../score'
import { isTooMuch, type Fault } from './judge'
import type { PinVerdict } from './pins'
import { repairOf, type Change } from './repair'
import { numbered, stepsOf, type DerivedStep } from './steps'
import { topEggS } from './topEgg'
import type { Choice } from './vocabulary'

/** Name and version of this engine, in every score that it derives. */
const ENGINE = 'heat-1'

/** How a batch is cooked, or why it cannot be and the smallest change that helps. */
export type Sequenced = {
  engine: typeof ENGINE
  /** What it decided where the dish said nothing. */
  choice: Choice | null
  /** How the food is moved, by its weight; null where nothing is cooked. */
  handling: Handling | null
  steps: readonly DerivedStep[]
  /** From the first oil to the pick-up [s]; heating up comes before. */
  totalS: number | null
  rejected: readonly Rejected[]
  runnerUp: { steps: readonly DerivedStep[]; totalS: number; cost: number; choice: Choice } | null
  pins: readonly PinVerdict[]
  finding: Finding | null
  /** What is too much for the station and was scored all the same. */
  warns: readonly TooMuch[]
}
/** What stands against the batch as it is asked for, and one change, the smallest that works; null where none does. */
export type Finding = {
  bad: readonly (Fault | { code: 'noRice'; componentIds: readonly string[] })[]
  change: Change | null
}

/** Derives the score of a batch at a station: the same input gives the same score on every device. */
export function sequenceBatch(input: SequenceInput): Sequenced {
  const strict = derive({ ...input, keepsTooMuch: false })
  const tooMuch = strict.kind === 'infeasible' ? strict.faults.map(({ code }) => code).filter(isTooMuch) : []
  const isKept = input.keepsTooMuch && strict.kind === 'infeasible' && tooMuch.length === strict.faults.length
  const derived = isKept ? derive(input) : strict
  const warns = isKept && derived.kind === 'derived' ? tooMuch : []
  if (derived.kind === 'nothing')
    return {
      engine: ENGINE,
      choice: null,
      handling: null,
      steps: [],
      totalS: null,
      rejected: [],
      runnerUp: null,
      pins: [],
      warns: [],
      finding: { bad: [{ code: derived.because, componentIds: [] }], change: { kind: 'addRice' } },
    }
  const common = { engine: ENGINE, warns, rejected: derived.rejected, pins: derived.pins } as const
  if (derived.kind === 'infeasible')
    return {
      ...common,
      choice: null,
      handling: null,
      steps: [],
      totalS: null,
      runnerUp: null,
      finding: { bad: derived.faults, change: repairOf(input, derived.faults) },
    }
  const { best, runnerUp } = derived
  return {
    ...common,
    choice: best.choice,
    handling: derived.station.handling,
    ...written(best, derived, input),
    runnerUp: runnerUp && {
      ...written(runnerUp, derived, input),
      cost: Math.round((runnerUp.cost - best.cost) * 10) / 10,
      choice: runnerUp.choice,
    },
    finding: null,
  }
}

function written({ run, choice }: Candidate, derived: Derived, input: SequenceInput) {
  const { components, station, parts } = derived
  const steps = stepsOf(run, station, components, input.rules)
  const totalS = Math.round(run.totalS)
  return {
    steps: choice.egg === 'onTop' && parts.egg.length > 0 ? withTopEgg(steps, parts.egg, derived, input) : steps,
    totalS,
  }
}

/** The egg on top, fried beside and timed backwards from the plate, so that both are ready together. */
function withTopEgg(
  steps: readonly DerivedStep[],
  eggs: readonly WokComponent[],
  { station }: Derived,
  { rules, dish }: SequenceInput,
): DerivedStep[] {
  const isRunny = dish.eggWish === 'runny'
  const durationS = Math.round(topEggS(eggs, station, dish.eggWish ?? null) ?? 0)
  const plateS = steps.find(({ action }) => action === 'pickUp')?.startS ?? 0
  const egg: Omit<DerivedStep, 'id'> = {
    action: 'eggOnTop',
    startS: plateS - durationS,
    durationS,
    heat: 'low',
    entries: eggs.map(({ id, massG }) => ({ componentId: id, massG: Math.round(massG * 100) / 100, motion: 'in' })),
    cue: isRunny ? 'eggOnTopRunny' : 'eggOnTopSet',
    reason: 'eggOnOtherSurface',
    figures: { seconds: durationS },
    cautions: isRunny ? ['wetIntoOil', 'runnyEgg'] : ['wetIntoOil'],
    check: isRunny ? null : { food: 'egg', limit: cookLimit(rules, 'egg') },
    handsOnS: 5,
    latestS: plateS - durationS,
    surface: 'beside',
  }
  const at = steps.findIndex(({ startS }) => startS > egg.startS)
  return numbered([...steps.slice(0, at), egg, ...steps.slice(at)])
}
