import { cookLimit, type CheckedFood, type CookLimit, type CookRules } from '../../safety/limits'
import type { Action, Caution, Cue, HeatLevel, Reason } from '../score'
import type { WokComponent } from './component'
import { latestStartS } from './latest'
import { isNearSmoke, RENDERED_SMOKES_AT_C } from './fats'
import { heatFor } from './levels'
import type { Move } from './moves'
import type { Done, Run, Station } from './run'
import { wordsOf, type Figures } from './why'

/** What goes in, out, back, or on the plate in a step. */
export type StepEntry = { componentId: string; massG: number; motion: 'in' | 'out' | 'back' | 'plate' }
/** A step of a derived score: seconds from the first oil, so that heating up stands before 0. */
export type DerivedStep = {
  id: string
  action: Action
  startS: number
  durationS: number
  heat: HeatLevel
  entries: readonly StepEntry[]
  cue: Cue
  reason: Reason
  figures: Figures
  cautions: readonly Caution[]
  check: { food: CheckedFood; limit: CookLimit } | null
  /** Seconds in which the cook cannot do anything else. */
  handsOnS: number
  /** Latest start at which everything still holds. */
  latestS: number
  /** Which surface: the station, or another beside it for an egg on top. */
  surface: 'station' | 'beside'
}

/** A wok with so much in it is heavy [g]. */
const HEAVY_G = 900
/** Less fat than this that ran out of food is no pool that burns [g]. [C] */
const RENDERED_FROM_G = 3

/** The steps of a run. */
export function stepsOf(
  run: Run,
  station: Station,
  components: readonly WokComponent[],
  rules: CookRules,
): DerivedStep[] {
  const byId = new Map(components.map((one) => [one.id, one]))
  const steps: Omit<DerivedStep, 'id'>[] = station.isGriddle ? [] : [heating(run, station)]
  run.moves.forEach((done, index) => {
    const { move } = done
    const some = move.ids.flatMap((id) => byId.get(id) ?? [])
    const inPlace = some.filter(({ stage }) => stage === null)
    // What a step is called, and why it stands there, is said by what has its place in it.
    const named = inPlace.length > 0 ? inPlace : some
    const checked = checkOf(move, some)
    const startS = Math.round(done.startS)
    steps.push({
      action: actionOf(move, named),
      startS,
      durationS: Math.round(done.endS) - startS,
      heat: isOff(run, index) ? 'off' : heatFor(run.choice, move.segment, station.vessel.holdC).level,
      entries: entriesOf(move, some, components, done),
      ...wordsOf(done, named, run),
      cautions: cautionsOf(done, some, components, station),
      check: checked ? { food: checked, limit: cookLimit(rules, checked) } : null,
      handsOnS:
        move.handling === 'leave' || move.handling === 'cover'
          ? Math.min(3, Math.round(done.endS) - startS)
          : Math.round(done.endS) - startS,
      latestS: latestStartS(run, index),
      surface: 'station',
    })
  })
  const checked = withEggCheck(steps, components, rules)
  return numbered(run.choice.preheat === 'oilFromCold' ? oilFromCold(checked) : checked)
}

/** Egg that neither leaves nor is set by itself, because it coats the grains or lies under them, is checked when the rice is done. */
function withEggCheck(
  steps: readonly Omit<DerivedStep, 'id'>[],
  components: readonly WokComponent[],
  rules: CookRules,
): Omit<DerivedStep, 'id'>[] {
  const eggs = new Set(components.filter(({ place }) => place === 'egg').map(({ id }) => id))
  const from = steps.findIndex(({ entries }) => entries.some(({ componentId }) => eggs.has(componentId)))
  const isPlated = from >= 0 && steps[from]!.entries.some(({ motion }) => motion === 'plate')
  if (from < 0 || isPlated || steps.slice(from).some(({ check }) => check?.food === 'egg')) return [...steps]
  const rice = steps.findIndex(({ action }, i) => i >= from && action === 'riceIn')
  const at = rice >= 0 ? rice : from
  return steps.map((step, i) => (i === at ? { ...step, check: { food: 'egg', limit: cookLimit(rules, 'egg') } } : step))
}

/** Steps with an id each: the action, and from the second on its number. */
export function numbered<T extends { action: Action }>(steps: readonly T[]): (T & { id: string })[] {
  const seen = new Map<string, number>()
  return steps.map((step) => {
    const nth = (seen.get(step.action) ?? 0) + 1
    seen.set(step.action, nth)
    return { ...step, id: nth === 1 ? step.action : `${step.action}-${nth}` }
  })
}

function heating(run: Run, { vessel }: Station): Omit<DerivedStep, 'id'> {
  const seconds = Math.round(run.preheatS ?? 0)
  return {
    action: 'heatVessel',
    startS: -seconds,
    durationS: seconds,
    heat: heatFor(run.choice, 'rice', vessel.holdC).level,
    entries: [],
    cue: 'firstSmoke',
    reason: 'hotMetalDoesNotStick',
    figures: { metalC: Math.round(run.preheatC) },
    cautions: ['wokToSmoke'],
    check: null,
    handsOnS: 0,
    latestS: -seconds,
    surface: 'station',
  }
}

/** After the flame is off, and where the house oils with the flame off. */
const isOff = (run: Run, index: number): boolean =>
  (index === 0 && run.choice.preheat === 'offWhileOiling') ||
  run.moves.slice(0, index + 1).some(({ move }) => move.kind === 'off')

/** Oil that goes in cold heats up with the vessel. */
function oilFromCold(steps: Omit<DerivedStep, 'id'>[]): Omit<DerivedStep, 'id'>[] {
  const [heats, oil, ...rest] = steps
  if (heats?.action !== 'heatVessel' || oil?.action !== 'oilIn') return steps
  const startS = heats.startS - oil.durationS
  const cold: Omit<DerivedStep, 'id'> = {
    ...oil,
    startS,
    latestS: startS,
    cautions: [],
    figures: { oilG: oil.figures.oilG ?? 0 },
  }
  const hot: Omit<DerivedStep, 'id'> = {
    ...heats,
    durationS: heats.durationS + oil.durationS,
    cue: 'oilShimmers',
    cautions: ['oilNearSmoke'],
  }
  return [cold, hot, ...rest]
}

function entriesOf(move: Move, some: readonly WokComponent[], all: readonly WokComponent[], done: Done): StepEntry[] {
  const grams = (massG: number) => Math.round(massG * 100) / 100
  if (move.kind === 'oil') {
    const fat = all.filter(({ place }) => place === 'fat')
    const fatG = fat.reduce((sum, { massG }) => sum + massG, 0)
    return fat.map(({ of, massG }) => ({ componentId: of, massG: grams((done.oilG * massG) / fatG), motion: 'in' }))
  }
  if (move.kind === 'check' || move.kind === 'off' || move.kind === 'wipe' || move.kind === 'taste') return []
  const motion = move.kind === 'aside' ? 'out' : move.kind === 'bowl' ? 'back' : move.kind
  return some.map((one) => ({ componentId: one.of, massG: grams(one.massG * (move.shares?.[one.id] ?? 1)), motion }))
}

function actionOf(move: Move, some: readonly WokComponent[]): Action {
  switch (move.kind) {
    case 'oil':
      return 'oilIn'
    case 'out':
      return move.slot === 'egg'
        ? 'eggOut'
        : move.slot === 'own'
          ? 'proteinOut'
          : move.slot === 'lap'
            ? 'riceOut'
            : 'baseOut'
    case 'aside':
      return 'eggAside'
    case 'back':
      return 'bringBack'
    case 'wipe':
      return 'wipe'
    case 'taste':
      return 'taste'
    case 'check':
      return move.slot === 'hotCheck' ? 'hotCheck' : 'checkCore'
    case 'off':
      return 'flameOff'
    case 'plate':
      return 'pickUp'
    case 'bowl':
      return 'tossTogether'
    case 'in':
      return entryAction(move, some)
  }
}

function entryAction({ slot }: Move, some: readonly WokComponent[]): Action {
  switch (slot) {
    case 'egg':
    case 'eggUnder':
      return 'eggIn'
    case 'eggPassing':
    case 'eggWell':
      return 'eggWell'
    case 'own':
      return 'proteinIn'
    case 'base':
      return some.every(({ place }) => place === 'raw') ? 'proteinIn' : 'baseIn'
    case 'rice':
      return 'riceIn'
    case 'turn':
      return 'turnRice'
    case 'crust':
      return 'leaveCrust'
    case 'lid':
      return 'lidOn'
    case 'halfTime':
    case 'late':
      return 'warmIn'
    case 'butter':
      return 'butterIn'
    case 'afterRice':
      return 'lateIn'
    case 'dry':
    case 'volatile':
      return 'dryIn'
    case 'sauce':
      return 'sauceIn'
    case 'leaf':
      return 'leavesIn'
    default:
      return 'finishOff'
  }
}

/** The check that a step ends with: of raw protein when it leaves or before the rice hides it, of egg, of the whole heap. */
function checkOf(move: Move, some: readonly WokComponent[]): CheckedFood | null {
  if (move.slot === 'hotCheck') return 'rice'
  if (move.kind === 'check' || (move.kind === 'out' && move.slot === 'own')) return strictest(some)
  if (move.kind === 'out' && move.slot === 'egg') return 'egg'
  return move.slot === 'eggWell' || move.slot === 'eggPassing' ? 'egg' : null
}

const STRICTEST: readonly CheckedFood[] = ['poultry', 'mince', 'meat', 'seafood', 'egg']
const strictest = (some: readonly WokComponent[]): CheckedFood | null =>
  STRICTEST.find((food) => some.some(({ checked }) => checked === food)) ?? null

function cautionsOf(
  { move, startC, endC, renderedG }: Done,
  some: readonly WokComponent[],
  all: readonly WokComponent[],
  station: Station,
): Caution[] {
  const inPanG = all.reduce((sum, { massG }) => sum + massG, 0)
  const poured = all.filter(({ place }) => place === 'fat')
  const isRenderedHot = renderedG >= RENDERED_FROM_G && endC >= RENDERED_SMOKES_AT_C
  const cautions: Caution[] = []
  const isIn = move.kind === 'in' || move.kind === 'back'
  if ((move.kind === 'oil' && isNearSmoke(poured, startC)) || isRenderedHot) cautions.push('oilNearSmoke')
  if (move.kind === 'wipe') cautions.push('steamWhenWiped')
  if (move.kind === 'bowl') cautions.push('bowlCools')
  if (move.slot === 'lid') cautions.push('steamUnderLid')
  if (move.slot === 'hotCheck') cautions.push('lotNotRescued')
  if (some.some(({ place }) => place === 'raw') && move.kind !== 'back') cautions.push('rawTools')
  if (isIn && some.some(({ place }) => WET.includes(place)) && move.slot !== 'rice') cautions.push('wetIntoOil')
  if (isIn && some.some(({ place }) => place === 'paste')) cautions.push('chilliVapour')
  if (move.slot === 'rice' && !station.isGriddle && inPanG >= HEAVY_G) cautions.push('heavyWok')
  return cautions
}
const WET = ['egg', 'raw', 'slow', 'crisp', 'readyVeg', 'leaf', 'ready']
