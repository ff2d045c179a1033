import type { SchoolValue } from '../../book/schools'
import type { Cue, Reason } from '../score'
import type { WokComponent } from './component'
import type { Done, Run } from './run'

/** Figures of the model behind a reason; only those that the reason speaks of. */
export type Figures = Partial<
  Record<
    | 'metalC'
    | 'lowestC'
    | 'dryS'
    | 'seconds'
    | 'burnFraction'
    | 'caramel'
    | 'oilG'
    | 'onMetalG'
    | 'renderedG'
    | 'carriedG'
    | 'coreC'
    | 'logKill',
    number
  >
>
/** Metal from which a sauce browns where it lies [°C]. */
const BROWNS_FROM_C = 180
type Words = { cue: Cue; reason: Reason; figures: Figures }
type Say = (cue: Cue, reason: Reason, figures?: Figures) => Words
const whole = Math.round

/** By what the cook knows that a move is done, why it stands here, and the figures behind that. */
export function wordsOf(done: Done, some: readonly WokComponent[], run: Run): Words {
  const { figures, ...words } = plainWords(done, some, run)
  return { ...words, figures: { ...figures, ...fatFigures(done) } }
}

/** The ledger of fat: what lay on the metal, what ran out of the food, what left with it; less than a gram is not said. */
function fatFigures({ move, onMetalG, renderedG, carriedG }: Done): Figures {
  const tenths = (massG: number) => Math.round(massG * 10) / 10
  return {
    ...(move.kind === 'oil' && onMetalG >= SAID_FROM_G && { onMetalG: tenths(onMetalG) }),
    ...(renderedG >= SAID_FROM_G && { renderedG: tenths(renderedG) }),
    ...(carriedG >= SAID_FROM_G && { carriedG: tenths(carriedG) }),
  }
}
const SAID_FROM_G = 1

function plainWords(done: Done, some: readonly WokComponent[], run: Run): Words {
  const { move } = done
  const seconds = whole(done.endS - done.startS)
  const words = (cue: Cue, reason: Reason, figures: Figures = {}): Words => ({ cue, reason, figures })
  switch (move.kind) {
    case 'oil':
      return words('oilShimmers', 'oilKeepsOff', { metalC: whole(done.startC), oilG: whole(done.oilG * 10) / 10 })
    case 'out':
      if (move.slot === 'egg') return words('eggSet', 'eggOutStaysTender')
      if (move.slot === 'lap') return words('grainsJump', 'partsFryDry')
      return words(proteinCue(some), move.slot === 'own' ? 'outSoItDoesNotOvercook' : 'baseOutForRoom')
    case 'aside':
      return words('eggSet', 'eggAsideStaysWarm')
    case 'back':
      return words('tossedThrough', 'backToWarm', { seconds })
    case 'wipe':
      return words('metalClean', 'wipedSoItDoesNotBurn')
    case 'taste':
      return words('tastesRight', 'saltCannotComeOut')
    case 'check':
      return move.slot === 'hotCheck'
        ? words('steamingThrough', 'riceMustBeHot', { coreC: whole(run.rice.coreC) })
        : words(proteinCue(some), 'coreIsProven')
    case 'off':
      return words('flameIsOut', 'flameOffForFinish')
    case 'plate':
      return words('plated', 'handOver')
    case 'bowl':
      return words('tossedThrough', 'partsTasteAlike', run.bowlC === null ? {} : { coreC: whole(run.bowlC) })
    case 'in':
      return entryWords(done, some, run, words, seconds)
  }
}

function entryWords(done: Done, some: readonly WokComponent[], run: Run, words: Say, seconds: number): Words {
  const { move } = done
  switch (move.slot) {
    case 'egg':
      return words('eggSet', 'eggFirstStaysApart', { seconds })
    case 'eggUnder':
      return words('eggSet', 'eggGoesUnder', { seconds })
    case 'eggPassing':
      return words('eggFolded', 'eggInPassing', { seconds })
    case 'eggWell':
      return words('eggFolded', 'eggWellKeepsRiceDry', { seconds })
    case 'own':
      return words(
        proteinCue(some),
        run.moves.every(({ move: { kind } }) => kind !== 'oil') && done.renderedG >= SAID_FROM_G
          ? 'itsFatFriesTheRest'
          : some[0]?.state === 'marinated'
            ? 'marinadeScorchesInCompany'
            : 'rawAloneNeedsItsTime',
        { seconds },
      )
    case 'base':
      return words(baseCue(some), baseReason(some), { seconds, burnFraction: burnAtRice(run, some) })
    case 'rice':
      return words('grainsJump', run.choice.egg === 'coated' ? 'yolkCoatsGrains' : REASON_OF_TOOL[run.choice.tool], {
        metalC: whole(done.startC),
        lowestC: whole(run.rice.lowestC),
        ...(run.rice.doneS !== null && { dryS: whole(run.rice.doneS - run.rice.startS) }),
      })
    case 'turn':
      return words('grainsJump', 'pressedSoNoLumps', { seconds })
    case 'crust':
      return words('crustForms', 'crustLeftAlone', { seconds })
    case 'lid':
      return words('heatedThrough', 'lidKeepsSteam', { seconds })
    case 'halfTime':
    case 'late':
      if (some[0]?.place === 'crisp') return words('tenderCrisp', 'crispIsSoonDone', { seconds })
      return words('heatedThrough', move.slot === 'late' ? 'readyOnlyWarms' : 'halfTimeStaysMoist', { seconds })
    case 'butter':
      return words('butterFoams', 'butterBrownsLate', { metalC: whole(done.startC) })
    case 'afterRice':
      return some.some(({ place }) => place === 'quick')
        ? words('fragrant', 'lateSoItDoesNotBurn', { seconds })
        : words('heatedThrough', 'softGoesLate', { seconds })
    case 'dry':
      return words('spreadEven', 'dryDissolvesFirst')
    case 'volatile':
      return words('spreadEven', 'smellGoesLast')
    case 'sauce':
      return sauceWords(done, run, words)
    case 'leaf':
      return words('wilted', 'leavesWiltLast', { seconds })
    default:
      return words('tossedThrough', 'offSoItStaysFresh')
  }
}

/** What the tool does to the rice; the ladle's back is what everybody takes. */
const REASON_OF_TOOL: Readonly<Record<SchoolValue<'tool'>, Reason>> = {
  ladle: 'riceNeedsDryHeat',
  edge: 'edgeChopsLumps',
  masher: 'masherOpensLumps',
  wood: 'woodSparesTheMetal',
}

function sauceWords(done: Done, run: Run, words: Say): Words {
  if (run.choice.sauce === 'offHeat') return words('tossedThrough', 'sauceOffHeatStaysBright')
  if (!done.move.isOnWall) return words('sizzlesDry', 'sauceIntoRice')
  const figures = { metalC: whole(done.startC), caramel: whole(run.caramel * 100) / 100 }
  return words('sizzlesDry', done.startC >= BROWNS_FROM_C ? 'sauceCaramelisesOnMetal' : 'sauceTooCoolToBrown', figures)
}

const proteinCue = (some: readonly WokComponent[]): Cue =>
  some.every(({ food }) => food === 'seafood') ? 'turnsOpaque' : 'noPink'

function baseCue(some: readonly WokComponent[]): Cue {
  const [first] = some
  switch (first?.target) {
    case 'golden':
      return 'golden'
    case 'softened':
      return 'softened'
    case 'tenderCrisp':
      return 'tenderCrisp'
    case 'heatedThrough':
      return 'heatedThrough'
    case 'cookedThrough':
      return proteinCue(some)
    default:
      return 'fragrant'
  }
}

function baseReason(some: readonly WokComponent[]): Reason {
  switch (some[0]?.place) {
    case 'raw':
      return 'rawInCompany'
    case 'quick':
      return 'aromaticsBurnSoon'
    case 'paste':
      return 'pasteBlooms'
    case 'ready':
    case 'readyVeg':
      return 'readyOnlyWarms'
    case 'crisp':
      return 'crispIsSoonDone'
    default:
      return 'slowFirst'
  }
}

/** How near to burning it is when the rice covers it: 0.62 is 62 % of its limit. */
function burnAtRice(run: Run, some: readonly WokComponent[]): number {
  const at = run.moves.findIndex(({ move }) => move.slot === 'rice')
  const before = run.moves[at - 1]
  const burnt = some.map(({ id }) => before?.burn.get(id) ?? 0)
  return Math.round(Math.max(0, ...burnt) * 100) / 100
}
