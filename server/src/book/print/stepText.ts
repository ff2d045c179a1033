import { writeMass, type ScaleUnit } from 'core/measure/scaleUnit'
import type { StationKind } from 'core/book/dish'
import type { CookLimit } from 'core/safety/limits'
import type { Action, Step } from 'core/wok/score'
import { writeClock } from './writeClock'

/** Steps in the words that stand on paper and in files. */
const ACTION_WORDS: Readonly<Record<Action, string>> = {
  heatVessel: 'Heat the wok dry until it first smokes',
  oilIn: 'Oil in',
  eggIn: 'In',
  eggOut: 'Out',
  proteinIn: 'In, alone',
  proteinOut: 'Out, to a clean bowl',
  baseIn: 'In, keep it moving',
  riceIn: 'Rice in, press flat, lift from below',
  dryIn: 'Season from high',
  eggWell: 'In the gap, half set, fold through',
  sauceIn: 'Sauce on the bare metal; taste before all of it is in',
  leavesIn: 'On top, turn under',
  bringBack: 'Back, toss through',
  wipe: 'Wipe with a damp cloth in tongs',
  eggOnTop: 'Fry beside, baste',
  takeOut: 'Take out',
  finishOn: 'On the others only, toss',
  hotCheck: 'Hot through? Probe the thickest heap',
  finishOff: 'Flame off, toss it through',
  pickUp: 'Pick up',
  eggAside: 'Pulled up the side, off the flame',
  baseOut: 'Out, to a clean bowl',
  checkCore: 'Cooked through? Cut or probe the thickest piece',
  turnRice: 'Lift the rice from below and turn it',
  leaveCrust: 'Press the rice flat and leave it alone',
  butterIn: 'On the rice, fold through',
  warmIn: 'On the hot rice, toss through',
  lateIn: 'In, toss through',
  flameOff: 'Flame off',
  riceOut: 'This part out, into the big bowl, covered',
  tossTogether: 'All of it in one bowl, toss until even',
  lidOn: 'Lid on, and leave it; open it away from you',
  taste: 'Taste with a clean spoon; the rest only as it needs',
}
const OFF_HEAT_SAUCE = 'Flame off, sauce in, toss'
const GRIDDLE_HEAT = 'Let the plate come up to heat'

/** One step in a line: when, what with how much, at which heat, and what is to be checked. */
export function stepText(step: Step, stationKind: StationKind, weighsIn: ScaleUnit): string {
  const names = step.entries
    .map(({ motion, massG, name }) => (motion === 'out' ? name : `${writeMass(massG, weighsIn)} ${name}`))
    .join(', ')
  const check = step.check ? ` Check: ${limitText(step.check.limit)}; the local code decides.` : ''
  return `${writeClock(step.startS)} ${wordsOf(step, stationKind)}${names ? `: ${names}` : ''} (${heatOf(step)}).${check}`
}

const heatOf = ({ surface, heat }: Step) => (surface === 'beside' ? 'on another surface, gentle heat' : `${heat} heat`)

/** Paper does not know who reads it: both units where the rule set has both. */
function limitText({ coreC, coreF, holdS }: CookLimit): string {
  const inF = coreF === undefined ? '' : ` (${coreF} °F)`
  return `${coreC} °C${inF} in the core${holdS > 0 ? `, held ${holdS} s` : ''}`
}

function wordsOf(step: Step, stationKind: StationKind): string {
  if (step.apart) return `Take ${step.apart.portions} out: no ${step.apart.without.join(', no ')}`
  if (step.action === 'finishOn' && step.onPortions) return `Only on the ${step.onPortions} that want it, toss`
  if (step.action === 'heatVessel' && stationKind === 'griddle') return GRIDDLE_HEAT
  if (step.action === 'sauceIn' && step.heat === 'off') return OFF_HEAT_SAUCE
  return ACTION_WORDS[step.action]
}
