import type { Parts } from './parts'
import { rawAlone } from './parts'
import type { Station } from './run'
import { BASE_ORDERS, type Choice } from './vocabulary'
import { SCHOOLS, type SchoolName, type SchoolValue, type StatedSchools } from '../../book/schools'

/** What an unstated school may be, where it matters to this dish at this station; the first is preferred. */
type Axes = { [Name in keyof Choice]: readonly Choice[Name][] }

/** Schools of the egg that nobody chooses without being asked. */
const EGG_AUTO = {
  wok: ['firstOut', 'firstUnder', 'inPassing', 'well'],
  griddle: ['firstOut', 'onTop'],
} as const
const USUAL: { [Name in SchoolName]: SchoolValue<Name> } = {
  egg: 'firstOut',
  eggReturn: 'late',
  leaf: 'beforeSauce',
  returns: 'beforeSauce',
  heat: 'full',
  sauce: 'wall',
  rice: 'stir',
  rawProtein: 'ownOut',
  readyProtein: 'base',
  readyVeg: 'base',
  paste: 'afterAromatics',
  wipe: 'none',
  batches: 'whole',
  seasoningOrder: 'dryFirst',
  ownStages: 'eggFirst',
  garlic: 'early',
  oil: 'usual',
  eggBreak: 'peaSize',
  preheat: 'toSmoke',
  lastToss: 'asBefore',
  lid: 'none',
  tool: 'ladle',
}

/**
 * Every value that a choice may have, by school. A school that changes nothing for this dish has one; what a dish says of its
 * egg says nothing of a batch without one. A coating decides over what a dish says: wood, and never empty on the flame.
 */
export function axesOf(dishStates: StatedSchools, parts: Parts, station: Station): Axes {
  const { isGriddle, isCoated } = station
  const hasEgg = parts.egg.length > 0
  const stated = hasEgg ? dishStates : { ...dishStates, egg: undefined }
  const axis = <Name extends SchoolName>(
    name: Name,
    matters: boolean,
    auto: readonly SchoolValue<Name>[] = SCHOOLS[name],
  ): SchoolValue<Name>[] => {
    const said = stated[name]
    if (said !== undefined && said !== 'auto') return [said as SchoolValue<Name>]
    return matters ? [...auto] : [auto[0] ?? USUAL[name]]
  }
  const free = parts.raw.filter((one) => !rawAlone(one)).length > 0
  const hasBase = parts.slow.length + parts.crisp.length + parts.quick.length + parts.paste.length > 0
  const hasOut = hasEgg || parts.raw.length > 0
  const hasSauce = parts.sauce.length > 0
  return {
    egg: axis('egg', hasEgg, isGriddle ? EGG_AUTO.griddle : EGG_AUTO.wok),
    heat: axis('heat', true, isGriddle ? ['full', 'zones'] : ['full', 'mediumThenHigh']),
    rawProtein: axis('rawProtein', free, ['ownOut', 'inSequence', 'withBaseOut']),
    order: hasBase ? [...BASE_ORDERS] : ['slowFirst'],
    quick: parts.quick.length > 0 && bearsLateAromatics(stated, isGriddle) ? ['inBase', 'afterRice'] : ['inBase'],
    sauce: axis('sauce', hasSauce, isGriddle ? ['lastPour'] : ['wall', 'lastPour']),
    rice: axis('rice', false, [station.handling === 'toss' ? 'toss' : 'stir']),
    readyProtein: axis('readyProtein', parts.ready.length > 0, ['base', 'halfTime']),
    readyVeg: axis('readyVeg', parts.readyVeg.length > 0, ['base', 'halfTime']),
    paste: axis('paste', parts.paste.length > 0),
    eggReturn: axis('eggReturn', hasEgg, ['late', 'beforeRice']),
    leaf: axis('leaf', parts.leaf.length > 0 && hasSauce),
    returns: axis('returns', hasOut && hasSauce),
    seasoningOrder: axis('seasoningOrder', parts.dry.length > 0),
    ownStages: axis('ownStages', hasEgg && parts.raw.length > 0),
    wipe: axis('wipe', false),
    batches: axis('batches', false, ['whole']),
    garlic: axis('garlic', false),
    oil: axis('oil', false, ['usual']),
    eggBreak: axis('eggBreak', false, ['peaSize']),
    preheat: isCoated ? ['oilFromCold'] : axis('preheat', false),
    lastToss: axis('lastToss', false),
    lid: axis('lid', false),
    tool: isCoated ? ['wood'] : axis('tool', false),
  }
}

/** Where rice lies still on hot metal, aromatics may go in after it; on a wok they are tossed and go before. */
const bearsLateAromatics = ({ egg, rice }: StatedSchools, isGriddle: boolean): boolean =>
  isGriddle || egg === 'firstUnder' || rice === 'leaveCrust' || rice === 'pressLift'

/** Axes of which every combination is looked at; the others are tried one at a time on the best of them. */
const MAJOR = ['egg', 'heat', 'rawProtein', 'order', 'quick'] as const
const MINOR = [
  'readyProtein',
  'readyVeg',
  'sauce',
  'returns',
  'leaf',
  'paste',
  'eggReturn',
  'ownStages',
  'seasoningOrder',
] as const

/** Every combination of the major schools with the usual rest, in a fixed order. */
export function majorChoices(axes: Axes, stated: StatedSchools): Choice[] {
  const usual = Object.fromEntries(Object.entries(axes).map(([name, values]) => [name, values[0]])) as Choice
  const isOpen = (name: 'readyProtein' | 'readyVeg') => stated[name] === undefined || stated[name] === 'auto'
  const all = MAJOR.reduce<Choice[]>(
    (some, name) => some.flatMap((choice) => axes[name].map((value) => ({ ...choice, [name]: value }))),
    [usual],
  ).map((choice) => underEgg(choice, isOpen))
  const fitting = all.filter((choice) => isFitting(choice, axes))
  return fitting.length > 0 ? fitting : all
}

/** What is ready does not stand in the way of an egg under the rice: it goes in at half time, unless it was said otherwise. */
const underEgg = (choice: Choice, isOpen: (name: 'readyProtein' | 'readyVeg') => boolean): Choice =>
  choice.egg !== 'firstUnder'
    ? choice
    : {
        ...choice,
        ...(isOpen('readyProtein') && { readyProtein: 'halfTime' }),
        ...(isOpen('readyVeg') && { readyVeg: 'halfTime' }),
      }

/** With an egg in passing nothing leaves the vessel; where the base leaves anyway, raw protein goes with it. */
function isFitting({ egg, rawProtein }: Choice, axes: Axes): boolean {
  if (axes.rawProtein.length === 1) return true
  if (egg === 'inPassing' || egg === 'inPassingAside') return rawProtein === 'inSequence'
  if (egg === 'firstUnder' || egg === 'coated') return rawProtein !== 'inSequence'
  return true
}

/** A choice with one minor school changed, each that there is. */
export const minorChanges = (choice: Choice, axes: Axes): Choice[] =>
  MINOR.flatMap((name) =>
    axes[name].filter((value) => value !== choice[name]).map((value) => ({ ...choice, [name]: value })),
  )
