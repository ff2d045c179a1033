import type { Ingredient } from '../ingredient'
import { densityKindOf, judgeTwoMeasures } from '../../measure/plausible'
import { isMassUnit, MASS_UNIT_G, readUnit, volumeUnitML, type MeasureSystem } from '../../measure/units'
import { writeNumber } from '../../measure/writeNumber'
import { densityFor } from '../../measure/ingredient'
import { sizeOf } from './formAndSize'
import { flag, type Flag } from './flags'
import type { ParsedLine } from './parseLine'
import type { Measure } from './readMeasure'
import { fillOf, mannerFlags, sizeFlags, SPOONS } from './spoonsAndSizes'

/** A line with the mass it means [g], or null with the reason among its flags. `via` says how it was weighed. */
export type WeighedLine = { massG: number | null; via: string; isUnderstood: boolean; flags: Flag[] }

/** More than this between the ends of a range is likelier a misprint than a choice. */
const WIDE_RANGE = 2.5
/** Two measures by count and mass may differ by this factor before somebody is asked: sizes vary. */
const COUNT_DOUBT = 1.6
/** Two volumes of one line may differ by this factor: cups of different countries do. */
const VOLUME_DOUBT = 1.3

/**
 * What a parsed line weighs: by mass, by volume through the density of its form, by count through the size it names. Of
 * several measures that agree the mass is believed. A range is taken at its middle. Nothing is guessed: a missing density
 * or size is a flag, never a number.
 */
export function weighLine(line: ParsedLine, ingredient: Ingredient | null, system: MeasureSystem): WeighedLine {
  if (line.kind !== 'ingredient') return { massG: null, via: '', isUnderstood: true, flags: [] }
  const flags: Flag[] = []
  if (!ingredient && line.ingredient !== '')
    flags.push(
      flag('unknown-ingredient', `"${line.ingredient}" is not in the ingredient table: choose one or add it`, {
        name: line.ingredient,
      }),
    )
  flags.push(...rangeFlags(line))
  const measures = measuresOf(line)
  if (measures.length === 0) {
    const flagged = flag('no-amount', 'no amount is given: it is left to taste, and counts as nothing')
    return { massG: null, via: '', isUnderstood: ingredient !== null, flags: [...flags, flagged] }
  }
  const weighed = measures.map((measure) => weigh(measure, line, ingredient, system))
  flags.push(...doubts(weighed, line, ingredient, system), ...mannerFlags(line), ...sizeFlags(line, ingredient))
  const byMass = weighed.find((one) => one.kind === 'weighed' && one.by === 'mass')
  const best = byMass ?? weighed.find((one) => one.kind === 'weighed')
  if (best?.kind === 'weighed') {
    const isDoubtful = flags.some((one) => one.code !== 'unknown-ingredient')
    return { massG: best.massG, via: best.via, isUnderstood: ingredient !== null && !isDoubtful, flags }
  }
  const refusal = weighed[0]
  return {
    massG: null,
    via: '',
    isUnderstood: false,
    flags: refusal?.kind === 'unweighed' ? [...flags, refusal.flag] : flags,
  }
}

type Weighed = { kind: 'weighed'; by: 'mass' | 'volume' | 'count'; massG: number; via: string; measure: Measure }
type Unweighed = { kind: 'unweighed'; flag: Flag }

function measuresOf(line: ParsedLine): Measure[] {
  const { quantity, quantityMax, unit, each } = line
  const times = (measure: Measure): Measure => ({ ...measure, value: measure.value * (quantity ?? 1), most: null })
  const first = quantity === null ? [] : [{ value: quantity, most: quantityMax, unit }]
  return each ? [times(each), ...line.also] : [...first, ...line.also]
}

function weigh(
  measure: Measure,
  line: ParsedLine,
  ingredient: Ingredient | null,
  system: MeasureSystem,
): Weighed | Unweighed {
  const amount = measure.most === null ? measure.value : (measure.value + measure.most) / 2
  const unit = measure.unit === null ? null : readUnit(measure.unit)
  if (unit && isMassUnit(unit)) {
    return {
      kind: 'weighed',
      by: 'mass',
      massG: amount * MASS_UNIT_G[unit],
      via: `${writeNumber(amount)} ${unit}`,
      measure,
    }
  }
  if (unit) {
    const unitML = volumeUnitML(unit, system)
    if (unitML === null)
      return unweighed('not-in-system', `the ${system} system has no ${unit}: name the measure system of this recipe`, {
        system,
        unit,
      })
    const density = ingredient && densityFor(ingredient, line.prep ?? '')
    if (!density)
      return unweighed(
        'no-density',
        `what ${measure.unit} of ${line.ingredient || 'it'} weighs is not known: weigh it once`,
        { unit: measure.unit ?? '', name: line.ingredient },
      )
    const via = `${density.gPerML} g/mL ${density.form} (${ingredient.source})`
    const filled = SPOONS.includes(unit) ? fillOf(line.prep) : 1
    return { kind: 'weighed', by: 'volume', massG: amount * unitML * filled * density.gPerML, via, measure }
  }
  const size = ingredient && sizeOf(ingredient, measure.unit, line.size)
  if (!size) {
    const what = measure.unit ?? 'one'
    return unweighed(
      'no-size',
      `what ${what} ${line.ingredient || 'of it'} weighs is not known: weigh ten of them once`,
      { unit: measure.unit ?? '', name: line.ingredient },
    )
  }
  return {
    kind: 'weighed',
    by: 'count',
    massG: amount * size.massG,
    via: `${size.size} ${size.massG} g (${ingredient.source})`,
    measure,
  }
}

function rangeFlags({ quantity, quantityMax }: ParsedLine): Flag[] {
  if (quantity === 0) return [flag('nothing', 'the amount is 0: give what goes in, or take the line out')]
  if (quantity === null || quantityMax === null) return []
  if (quantityMax < quantity)
    return [
      flag('reversed-range', `the range runs down from ${writeNumber(quantity)} to ${writeNumber(quantityMax)}`, {
        from: writeNumber(quantity),
        to: writeNumber(quantityMax),
      }),
    ]
  if (quantityMax <= quantity * WIDE_RANGE) return []
  const whole = Math.floor(quantityMax)
  const likely =
    quantity < 1 && whole >= 1 ? ` (is ${writeNumber(whole - 1 + quantity)}–${writeNumber(quantityMax)} meant?)` : ''
  return [
    flag(
      'wide-range',
      `${writeNumber(quantity)} to ${writeNumber(quantityMax)} is a wide range${likely}: its middle is taken until you say`,
      {
        from: writeNumber(quantity),
        to: writeNumber(quantityMax),
        likely: quantity < 1 && whole >= 1 ? `${writeNumber(whole - 1 + quantity)}–${writeNumber(quantityMax)}` : '',
      },
    ),
  ]
}

function doubts(
  weighed: readonly (Weighed | Unweighed)[],
  line: ParsedLine,
  ingredient: Ingredient | null,
  system: MeasureSystem,
): Flag[] {
  const sure = weighed.filter((one) => one.kind === 'weighed')
  const [volume, other] = sure.filter((one) => one.by === 'volume')
  if (volume && other && Math.abs(Math.log(volume.massG / other.massG)) > Math.log(VOLUME_DOUBT))
    return [
      flag(
        'two-volumes',
        `one measure is ${round(volume.massG)} g, the other ${round(other.massG)} g: which is meant?`,
        {
          is: round(volume.massG),
          not: round(other.massG),
        },
      ),
    ]
  const mass = sure.find((one) => one.by === 'mass')
  const volumeMeasure = volumeOf(line)
  if (mass && volumeMeasure) {
    const density = ingredient ? densityFor(ingredient, line.prep ?? '') : null
    const judged = judgeTwoMeasures({
      massG: mass.massG,
      volume: volumeMeasure,
      system,
      kind: densityKindOf(ingredient?.role ?? '', line.ingredient),
      ...(ingredient && density && { ingredient, form: density.form }),
    })
    if (judged.kind === 'doubtful')
      return [
        {
          code: 'two-measures',
          message: judged.message,
          values: { is: round(judged.gPerML), name: line.ingredient, wanted: judged.wantedGPerML },
          repairs: judged.repairs,
        },
      ]
  }
  const count = sure.find((one) => one.by === 'count')
  if (!mass || !count) return []
  const factor = mass.massG / count.massG
  if (factor < COUNT_DOUBT && factor > 1 / COUNT_DOUBT) return []
  const eachG = count.massG / count.measure.value
  const howMany = count.measure.value
  return [
    {
      code: 'count-and-mass',
      message: `${writeNumber(howMany)} weigh about ${round(count.massG)} g, not ${round(mass.massG)} g`,
      values: { n: writeNumber(howMany), is: round(count.massG), not: round(mass.massG) },
      repairs: [
        {
          kind: 'count',
          message: `${writeNumber(howMany)} it is`,
          values: { n: writeNumber(howMany) },
          massG: count.massG,
          gPerML: null,
        },
        {
          kind: 'by-mass',
          message: `${round(mass.massG)} g, that is ${round(mass.massG / eachG)}`,
          values: { g: round(mass.massG) },
          massG: mass.massG,
          gPerML: null,
        },
        {
          kind: 'each',
          message: `${round(mass.massG)} g each`,
          values: { g: round(mass.massG) },
          massG: mass.massG * howMany,
          gPerML: null,
        },
      ],
    },
  ]
}

function volumeOf(line: ParsedLine) {
  for (const measure of measuresOf(line)) {
    const unit = measure.unit === null ? null : readUnit(measure.unit)
    if (unit && !isMassUnit(unit) && measure.value > 0) return { value: measure.value, unit }
  }
  return null
}

const unweighed = (code: Flag['code'], message: string, values: Flag['values']): Unweighed => ({
  kind: 'unweighed',
  flag: flag(code, message, values),
})
const round = (value: number) => Number(value.toPrecision(3))
