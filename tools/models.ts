import { MeasureConvertInput, MeasureConvertOutput } from 'contract/measure'
import { likeNames } from 'core/book/lookUp'
import { findIngredient } from 'core/book/resolve'
import { convert } from 'core/measure/convert'
import { readIngredients } from '../server/src/book/ingredient/table.csv'
import { DEMO_KITCHEN } from '../server/src/demo/kitchen'
import { ALLERGEN_MODEL } from './allergenModel'
import { LINE_MODELS } from './lineModel'
import type { Answer, Fault, Model } from './model'
import { MISE_MODELS } from './miseModels'
import { PREP_MODELS } from './prepModel'
import { RICE_LOT_MODEL } from './riceLotModel'
import { RICE_MODELS } from './riceModels'
import { WOK_MODELS } from './wokModels'
import { SEQUENCE_MODELS } from './wokSequence'

/** The models that the command line reaches, by name: the same functions and contracts as the app and the server. */
export const MODELS: Readonly<Record<string, Model>> = {
  'measure.convert': { input: MeasureConvertInput, output: MeasureConvertOutput, run: measureConvert },
  ...MISE_MODELS,
  ...PREP_MODELS,
  ...RICE_MODELS,
  ...RICE_LOT_MODEL,
  ...ALLERGEN_MODEL,
  ...WOK_MODELS,
  ...SEQUENCE_MODELS,
  ...LINE_MODELS,
}

let table: ReturnType<typeof readIngredients> | null = null

function measureConvert(raw: unknown): Answer {
  const input = MeasureConvertInput.parse(raw)
  const system = input.system ?? DEMO_KITCHEN.tools.system
  const asked = input.ingredient
  table ??= asked === undefined ? null : readIngredients()
  const ingredient = asked === undefined ? null : findIngredient({ name: asked, state: 'fresh' }, table ?? [])
  if (asked !== undefined && !ingredient) {
    return {
      kind: 'faults',
      faults: [{ field: 'ingredient', message: `unknown ingredient "${asked}": use ${likeWords(asked)}` }],
    }
  }
  const result = convert({
    value: input.value,
    from: input.from,
    to: input.to,
    system,
    toSystem: input.toSystem ?? system,
    vessels: DEMO_KITCHEN.tools.ladles,
    ...(ingredient && { ingredient }),
    ...(input.form !== undefined && { form: input.form }),
  })
  if (result.kind === 'refused') return { kind: 'faults', faults: [{ field: result.field, message: result.message }] }
  return { kind: 'output', output: MeasureConvertOutput.parse({ value: result.value, via: result.via }) }
}

function likeWords(asked: string): string {
  const ids = likeNames(table ?? [], asked).map((row) => row.id)
  return ids.length > 0 ? `one of ${ids.join(', ')}` : 'an id or name of server/data/ingredients.csv'
}

/** Runs a model on one object or an array of them; the faults of an array name the element. */
export function runModel(model: Model, input: unknown): Answer {
  if (!Array.isArray(input)) return runOne(model, input, '')
  const outputs: unknown[] = []
  const faults: Fault[] = []
  input.forEach((one, index) => {
    const answer = runOne(model, one, `${index}.`)
    if (answer.kind === 'output') outputs.push(answer.output)
    else faults.push(...answer.faults)
  })
  return faults.length > 0 ? { kind: 'faults', faults } : { kind: 'output', output: outputs }
}

function runOne(model: Model, input: unknown, prefix: string): Answer {
  const parsed = model.input.safeParse(input)
  const answer: Answer = parsed.success
    ? model.run(parsed.data)
    : {
        kind: 'faults',
        faults: issuesOf(parsed.error.issues).map((issue) => ({
          field: issue.path.join('.') || 'input',
          message: issue.message,
        })),
      }
  if (answer.kind === 'output') return answer
  return { kind: 'faults', faults: answer.faults.map((fault) => ({ ...fault, field: prefix + fault.field })) }
}

type Issue = { code?: string; path: PropertyKey[]; message: string; errors?: unknown }

/** Where several shapes would do, the faults of the one that comes nearest. */
function issuesOf(issues: readonly unknown[], under: PropertyKey[] = []): Issue[] {
  return (issues as Issue[]).flatMap((issue): Issue[] => {
    const own = { ...issue, path: [...under, ...issue.path] }
    const shapes = issue.code === 'invalid_union' && Array.isArray(issue.errors) ? (issue.errors as unknown[][]) : []
    const nearest = shapes.filter((shape) => shape.length > 0).sort((a, b) => depth(b) - depth(a))[0]
    return nearest ? issuesOf(nearest, own.path) : [own]
  })
}

const depth = (issues: readonly unknown[]): number => Math.max(...(issues as Issue[]).map(({ path }) => path.length))
