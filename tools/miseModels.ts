import {
  MiseBalanceInput,
  MiseBalanceOutput,
  MiseCorrectInput,
  MiseCorrectOutput,
  MiseParseLinesInput,
  MiseParseLinesOutput,
} from 'contract/mise/models'
import { ROLES } from 'core/book/dish'
import type { Ingredient } from 'core/book/ingredient'
import { balanceOf, usualRole, type BalancePart } from 'core/book/balance/balance'
import { costOf, priceOn } from 'core/book/balance/cost'
import { findingsOf, type Finding } from 'core/book/balance/findings'
import { repairOf } from 'core/book/balance/repair'
import { STYLES } from 'core/book/balance/style'
import { correctTaste, type Correction } from 'core/book/taste/correct'
import { atHandOf } from 'core/book/taste/atHand'
import { indexIngredients, likeNames, lookUp } from 'core/book/lookUp'
import { parseLine } from 'core/book/ingredientLine/parseLine'
import { weighLine } from 'core/book/ingredientLine/weighLine'
import { readIngredients } from '../server/src/book/ingredient/table.csv'
import { DEMO_KITCHEN } from '../server/src/demo/kitchen'
import { DEMO_PRICES } from '../server/src/demo/prices'
import type { Answer, Fault, Model } from './model'

let known: { table: Ingredient[]; index: ReturnType<typeof indexIngredients> } | null = null
function shelf() {
  if (known) return known
  const table = readIngredients()
  known = { table, index: indexIngredients(table) }
  return known
}

const output = (value: unknown): Answer => ({ kind: 'output', output: value })

function parseLines(raw: unknown): Answer {
  const input = MiseParseLinesInput.parse(raw)
  const system = input.system ?? DEMO_KITCHEN.tools.system
  const lines = typeof input.lines === 'string' ? input.lines.split(/\r\n|[\r\n]/) : input.lines
  return output({
    lines: lines.map((text) => {
      const line = parseLine(text, system)
      const ingredient = line.ingredient === '' ? null : lookUp(shelf().index, line.ingredient)
      const { massG, via, isUnderstood, flags } = weighLine(line, ingredient, system)
      const { kind, quantity, quantityMax, unit, size, prep } = line
      return {
        text,
        kind,
        quantity,
        quantityMax,
        unit,
        size,
        ingredient: line.ingredient,
        ingredientId: ingredient?.id ?? null,
        prep,
        massG,
        via,
        understood: isUnderstood,
        flags,
      }
    }),
  })
}

function styleOf(id: string): (typeof STYLES)[number] | Fault {
  const style = STYLES.find((one) => one.id === id)
  return style ?? { field: 'style', message: `unknown style "${id}": use ${STYLES.map((one) => one.id).join(', ')}` }
}

function found(name: string, field: string): Ingredient | Fault {
  const ingredient = shelf().table.find((one) => one.id === name) ?? lookUp(shelf().index, name)
  if (ingredient) return ingredient
  const like = likeNames(shelf().table, name).map((one) => one.id)
  const use = like.length > 0 ? `one of ${like.join(', ')}` : 'an id or name of server/data/ingredients.csv'
  return { field, message: `unknown ingredient "${name}": use ${use}` }
}

const isFault = (one: object): one is Fault => 'field' in one

function balance(raw: unknown): Answer {
  const input = MiseBalanceInput.parse(raw)
  const style = styleOf(input.style)
  if (isFault(style)) return { kind: 'faults', faults: [style] }
  const rows = input.components.map((one, i) => found(one.ingredient, `components.${i}.ingredient`))
  const faults = rows.filter(isFault)
  if (faults.length > 0) return { kind: 'faults', faults }
  const parts = input.components.map((one, i): BalancePart => {
    const ingredient = rows[i] as Ingredient
    const role = ROLES.find((name) => name === one.role) ?? usualRole(ingredient)
    return { id: `${i}`, name: ingredient.name, role, ingredient, massG: one.massG }
  })
  const waterG = parts.reduce((sum, part) => sum + (part.massG * part.ingredient.waterG) / 100, 0)
  if (input.evaporatedG > waterG)
    return {
      kind: 'faults',
      faults: [
        {
          field: 'evaporatedG',
          message: `there are ${waterG.toFixed(1)} g of water in it, and ${input.evaporatedG} g cannot evaporate: check the figure`,
        },
      ],
    }
  const balanced = balanceOf(parts, input.evaporatedG)
  const { metrics, traits, massG, colour, energyKJ, proteinG, carbohydrateG, fatG, fibreG, saltG, allergens } = balanced
  const cost = costOf(
    parts.map(({ ingredient, massG: partG, name }) => ({
      massG: partG,
      ediblePortion: ingredient.ediblePortion,
      price: priceOn(DEMO_PRICES[ingredient.id] ?? [], '9999-12-31'),
      name,
    })),
  )
  const repair = repairOf(parts, style)
  const ofRice = metrics.freeLiquidFraction === null ? ['no component has the role rice: ratios to rice are null'] : []
  const unpriced = cost.costMinor === null ? [`costMinor: no price for ${cost.unpriced.join(', ')}`] : []
  return output({
    massG,
    ...metrics,
    colour,
    energyKJ,
    proteinG,
    carbohydrateG,
    fatG,
    fibreG,
    saltG,
    allergens,
    diets: traits,
    costMinor: cost.costMinor === null ? null : Math.round(cost.costMinor),
    findings: findingsOf(balanced, parts, style).map((finding) => ({
      code: codeOf(finding),
      message: sentence(finding),
    })),
    repair: repair && repair.changes.map(({ name, fromG, toG }) => ({ ingredient: name, fromG, toG })),
    reasons: [...ofRice, ...unpriced],
  })
}

function codeOf(finding: Finding): string {
  if (finding.kind === 'outside') return `${finding.metric}-${finding.side}`
  return finding.kind === 'colour' ? 'colour' : `oil-${finding.side}`
}

function sentence(finding: Finding): string {
  const round = (value: number) => Number(value.toPrecision(3))
  if (finding.kind === 'colour')
    return `the dish looks ${finding.colour}, the style wants ${finding.wanted.join(' or ')}`
  if (finding.kind === 'oil-school') return `${round(finding.gPer100G)} g oil to 100 g rice is not this school's`
  const { metric, side, value, band, causes } = finding
  const most = causes[0]
  const cause = most ? `; ${most.name} brings ${Math.round(most.share * 100)} %` : ''
  return `${metric} ${round(value)} is too ${side}, the style wants ${band.least} to ${band.most}${cause}`
}

function correct(raw: unknown): Answer {
  const input = MiseCorrectInput.parse(raw)
  const style = styleOf(input.style)
  if (isFault(style)) return { kind: 'faults', faults: [style] }
  const rows = input.available.map((name, i) => found(name, `available.${i}`))
  const faults = rows.filter(isFault)
  if (faults.length > 0) return { kind: 'faults', faults }
  const { available: _available, style: _style, ...asked } = input
  const correction = correctTaste({
    ...(asked as Omit<Parameters<typeof correctTaste>[0], 'atHand' | 'bands'>),
    atHand: (rows as Ingredient[]).map(atHandOf),
    bands: style.bands,
  })
  const additions = correction.kind === 'add' ? correction.additions : []
  return output({
    additions: additions.map(({ id, massG }) => ({ ingredient: id, massG })),
    ...correction.after,
    reason: reasonOf(correction),
  })
}

const WHY = {
  'nothing-at-hand': 'nothing is at hand',
  band: 'the batch already stands at the end of its band: another taste is meant',
  'wok-full': 'the wok is full',
  'longer-on-the-flame':
    'nothing at hand takes water up: leave it on full flame, spread out; next time drain, sear or split the batch',
  wets: 'would wet the rice',
  overfills: 'would overfill the wok',
  salts: 'would salt it too much',
  sweetens: 'would sweeten it too much',
} as const

function reasonOf(correction: Correction): string {
  if (correction.kind === 'nothing-helps') return WHY[correction.why]
  const list = correction.additions.map(({ name, massG }) => `${massG} g ${name}`).join(', ')
  const other = correction.rejected[0]
  return other ? `${list}; ${other.addition.massG} g ${other.addition.name} ${WHY[other.why]}` : list
}

export const MISE_MODELS: Readonly<Record<string, Model>> = {
  'mise.parseLines': { input: MiseParseLinesInput, output: MiseParseLinesOutput, run: parseLines },
  'mise.balance': { input: MiseBalanceInput, output: MiseBalanceOutput, run: balance },
  'mise.correct': { input: MiseCorrectInput, output: MiseCorrectOutput, run: correct },
}
