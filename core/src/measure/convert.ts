import { densityOf, type CountSize, type MeasuredIngredient } from './ingredient'
import {
  isMassUnit,
  isMetricVolume,
  MASS_UNIT_G,
  readUnit,
  VOLUME_UNIT_ML,
  volumeUnitML,
  type MeasureSystem,
  type VolumeUnit,
} from './units'

/** A vessel of the kitchen's own, such as a ladle: level volume [mL]. */
export type KitchenVessel = { name: string; volumeML: number }

/** An amount to convert, with the density that volume and mass need. */
export type Conversion = {
  value: number
  from: string
  to: string
  system: MeasureSystem
  toSystem: MeasureSystem
  ingredient?: MeasuredIngredient
  form?: string
  vessels?: readonly KitchenVessel[]
}

/** The converted value with the steps it took, or what is missing. */
export type ConversionResult =
  | { kind: 'converted'; value: number; via: string[] }
  | { kind: 'refused'; field: 'value' | 'from' | 'to' | 'ingredient' | 'form'; message: string }

type Refusal = Extract<ConversionResult, { kind: 'refused' }>
type Side = { kind: 'mass'; g: number } | { kind: 'volume'; mL: number } | { kind: 'count'; size: CountSize }

/**
 * One quantity in another unit: mass, volume (by system), the kitchen's own vessels and counts of an ingredient, through
 * its density where mass meets volume. `via` names each step with the figure and source used.
 * Error: none between units of one kind; that of the density otherwise (its confidence is named in `via`).
 */
export function convert(conversion: Conversion): ConversionResult {
  const { value, ingredient, form } = conversion
  if (!Number.isFinite(value)) return refuse('value', `${value} is not a number: give a finite number`)
  if (value < 0) return refuse('value', `${value} is negative: give zero or more`)
  const from = readSide(conversion, 'from')
  if (from.kind === 'refused') return from
  const to = readSide(conversion, 'to')
  if (to.kind === 'refused') return to

  const via: string[] = []
  const fromWord = named(conversion, 'from')
  const toWord = named(conversion, 'to')
  let amount = 0
  let isMass = true
  if (from.kind === 'volume') {
    amount = value * from.mL
    isMass = false
    if (from.mL !== 1) via.push(`1 ${fromWord} = ${from.mL} mL`)
  } else {
    amount = value * (from.kind === 'mass' ? from.g : from.size.massG)
    if (from.kind === 'count') via.push(countStep(from.size, ingredient))
    else if (from.g !== 1) via.push(`1 ${fromWord} = ${from.g} g`)
  }

  const wantsMass = to.kind !== 'volume'
  if (wantsMass !== isMass) {
    if (!ingredient) {
      return refuse('ingredient', `${fromWord} to ${toWord} needs a density: name the ingredient`)
    }
    const density = densityOf(ingredient, form)
    if (!density) return refuseDensity(ingredient, form)
    via.push(
      `${ingredient.name}, ${density.form}: ${density.gPerML} g/mL (${ingredient.source}; confidence ${ingredient.confidence})`,
    )
    amount = isMass ? amount / density.gPerML : amount * density.gPerML
  }

  if (to.kind === 'volume') {
    if (to.mL !== 1) via.push(`1 ${toWord} = ${to.mL} mL`)
    return { kind: 'converted', value: amount / to.mL, via }
  }
  if (to.kind === 'count') {
    via.push(countStep(to.size, ingredient))
    return { kind: 'converted', value: amount / to.size.massG, via }
  }
  if (to.g !== 1) via.push(`1 ${toWord} = ${to.g} g`)
  return { kind: 'converted', value: amount / to.g, via }
}

function readSide(conversion: Conversion, field: 'from' | 'to'): Side | Refusal {
  const word = conversion[field]
  const system = field === 'from' ? conversion.system : conversion.toSystem
  const vessel = conversion.vessels?.find((one) => one.name === word)
  if (vessel) return { kind: 'volume', mL: vessel.volumeML }
  const size = countSize(conversion.ingredient, word)
  if (size) return { kind: 'count', size }
  const unit = readUnit(word)
  if (unit === null) return refuse(field, unknownUnit(word, conversion))
  if (isMassUnit(unit)) return { kind: 'mass', g: MASS_UNIT_G[unit] }
  const mL = volumeUnitML(unit, system)
  return mL === null ? refuse(field, notInSystem(unit, system)) : { kind: 'volume', mL }
}

function countSize(ingredient: MeasuredIngredient | undefined, word: string): CountSize | null {
  if (!ingredient) return null
  if (word === 'count') return ingredient.countSizes[0] ?? null
  return ingredient.countSizes.find((one) => one.size === word) ?? null
}

function named(conversion: Conversion, field: 'from' | 'to'): string {
  const unit = readUnit(conversion[field])
  if (unit === null || isMassUnit(unit) || isMetricVolume(unit)) return unit ?? conversion[field]
  return `${unit} (${field === 'from' ? conversion.system : conversion.toSystem})`
}

function countStep(size: CountSize, ingredient?: MeasuredIngredient): string {
  return `1 ${size.size} = ${size.massG} g (${ingredient?.source ?? 'weighed'})`
}

function unknownUnit(word: string, { ingredient, vessels = [] }: Conversion): string {
  const counts = ingredient?.countSizes.map((one) => one.size) ?? []
  const own = [...vessels.map((one) => one.name), ...counts]
  const also = own.length > 0 ? `, or ${own.join(', ')}` : ''
  return `unknown unit "${word}": use mg, g, kg, oz, lb, mL, cL, dL, L, tsp, tbsp, cup, fl oz, pint, quart, gallon, gō${also}`
}

function notInSystem(unit: VolumeUnit, system: MeasureSystem): string {
  const known = ['mL', 'cL', 'dL', 'L', ...Object.keys(VOLUME_UNIT_ML[system])].join(', ')
  return `the ${system} system has no ${unit}: use ${known}, or name another system`
}

function refuseDensity(ingredient: MeasuredIngredient, form?: string): Refusal {
  const forms = ingredient.densities.map((density) => density.form).join(', ')
  if (forms === '')
    return refuse('ingredient', `no density is known for ${ingredient.name}: weigh a level cup of it once`)
  return refuse('form', `${ingredient.name} has no form "${form}": use ${forms}`)
}

function refuse(field: Refusal['field'], message: string): Refusal {
  return { kind: 'refused', field, message }
}
