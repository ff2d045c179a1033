import type { Batch } from '../book/batchComponents'
import { rawFoodOf } from '../book/rawFood'
import { cookLimit, type CheckedFood, type CookRules } from '../safety/limits'
import type { Entry, Score, Step } from '../wok/score'

/** What is wrong with a score that somebody sent: where, and what. */
export type ScoreFault = {
  field: string
  why: 'time' | 'mass' | 'stranger' | 'missing' | 'noCheck' | 'limit' | 'engine' | 'apart'
  names: string[]
}

/** Each entry is rounded to a hundredth of a gram. */
const MASS_TOLERANCE_G = 0.05

/**
 * What a score that was derived elsewhere gets wrong of the batch it is for: the arithmetic of its steps, the masses, things
 * that the batch must not have, and checks. It is not derived again: which way is taken is the device's answer.
 */
export function scoreFaults(score: Score, batch: Batch, rules: CookRules): ScoreFault[] {
  const fault = (field: string, why: ScoreFault['why'], names: string[] = []): ScoreFault => ({ field, why, names })
  if (score.engine !== 'heat-1' || score.basis === undefined) return [fault('score.engine', 'engine')]
  return [
    ...timeFaults(score).map((field) => fault(field, 'time')),
    ...massFaults(score, batch).map(({ why, name }) => fault('score.steps', why, [name])),
    ...apartFaults(score, batch).map((name) => fault('score.steps', 'apart', [name])),
    ...checkFaults(score, batch, rules).map(({ why, name }) => fault('score.steps', why, [name])),
  ]
}

function timeFaults({ steps, totalS }: Score): string[] {
  const bad: string[] = []
  let atS = 0
  steps.forEach((step, index) => {
    if (step.startS !== atS) bad.push(`score.steps.${index}.startS`)
    // How warm the metal is only the kitchen knows, which says it when it fires.
    if (step.figures?.['fromC'] !== undefined) bad.push(`score.steps.${index}.figures.fromC`)
    atS += step.durationS
  })
  if (totalS !== atS) bad.push('score.totalS')
  if (new Set(steps.map(({ id }) => id)).size !== steps.length) bad.push('score.steps')
  return bad
}

const isAdded = ({ motion }: Entry) => motion === 'in' || motion === 'plate'
const keyOf = ({ id, name }: { id: string; name: string }) => `${id} ${name}`

function massFaults(score: Score, batch: Batch): { why: 'mass' | 'stranger' | 'missing'; name: string }[] {
  const added = new Map<string, { name: string; massG: number; entries: number }>()
  for (const entry of score.steps.flatMap(({ entries }) => entries).filter(isAdded)) {
    const key = keyOf({ id: entry.componentId, name: entry.name })
    const before = added.get(key) ?? { name: entry.name, massG: 0, entries: 0 }
    added.set(key, { ...before, massG: before.massG + entry.massG, entries: before.entries + 1 })
  }
  const bad: { why: 'mass' | 'stranger' | 'missing'; name: string }[] = []
  const wanted = new Map<string, number>()
  for (const { component, massG } of batch.components)
    wanted.set(keyOf(component), (wanted.get(keyOf(component)) ?? 0) + massG)
  for (const { component } of batch.components) {
    const found = added.get(keyOf(component))
    const massG = wanted.get(keyOf(component)) ?? 0
    if (!found) bad.push({ why: 'missing', name: component.name })
    else if (Math.abs(found.massG - massG) > MASS_TOLERANCE_G * found.entries)
      bad.push({ why: 'mass', name: component.name })
  }
  for (const [key, { name }] of added) if (!wanted.has(key)) bad.push({ why: 'stranger', name })
  const known = new Set(batch.components.map(({ component }) => component.id))
  for (const entry of score.steps.flatMap(({ entries }) => entries))
    if (!known.has(entry.componentId)) bad.push({ why: 'stranger', name: entry.name })
  const sumG = [...added.values()].reduce((sum, { massG }) => sum + massG, 0)
  if (Math.abs(score.riceMassG - batch.riceMassG) > MASS_TOLERANCE_G || Math.abs(score.batchMassG - sumG) > 1)
    bad.push({ why: 'mass', name: 'batch' })
  return bad
}

/** What only some portions get goes on those alone, after the others were taken out. */
function apartFaults({ steps }: Score, batch: Batch): string[] {
  const own = new Set(batch.components.map(({ component }) => keyOf(component)))
  for (const { component } of batch.shared) own.delete(keyOf(component))
  return steps.flatMap((step) =>
    step.action === 'finishOn'
      ? []
      : step.entries
          .filter((entry) => own.has(keyOf({ id: entry.componentId, name: entry.name })))
          .map(({ name }) => name),
  )
}

/** Everything raw has a check after it went in, with a limit no lower than this kitchen's; the rice has one at the end. */
function checkFaults(score: Score, batch: Batch, rules: CookRules): { why: 'noCheck' | 'limit'; name: string }[] {
  const bad: { why: 'noCheck' | 'limit'; name: string }[] = []
  const checkedFrom = (from: number, food: CheckedFood) => {
    const after = score.steps.slice(from)
    const limit = cookLimit(rules, food)
    return after.some(({ check }) => check !== null && holdsFor(check, food) && isAsStrict(check, limit))
  }
  for (const { component } of batch.shared) {
    const food = component.role === 'rice' ? 'rice' : rawFoodOf(component)
    if (food === null) continue
    // What goes in by parts is checked after the last of them.
    const from = score.steps
      .map(({ entries }) => entries.some((one) => isAdded(one) && one.componentId === component.id))
      .lastIndexOf(true)
    // Only an egg that is fried on top may be runny, and only where its guest asked for it.
    const isWished = food === 'egg' && batch.eggWish === 'runny' && score.steps[from]?.action === 'eggOnTop'
    if (from >= 0 && !isWished && !checkedFrom(from, food)) bad.push({ why: 'noCheck', name: component.name })
  }
  return bad
}

const STRICTEST: readonly CheckedFood[] = ['poultry', 'mince', 'meat', 'seafood', 'egg']
/** One check may stand for several foods that come out together: the strictest of them. */
const holdsFor = (check: NonNullable<Step['check']>, food: CheckedFood): boolean =>
  check.food === food ||
  (food !== 'rice' && check.food !== 'rice' && STRICTEST.indexOf(check.food) < STRICTEST.indexOf(food))

const isAsStrict = ({ limit }: NonNullable<Step['check']>, ours: { coreC: number; holdS: number }): boolean =>
  limit.coreC > ours.coreC || (limit.coreC === ours.coreC && limit.holdS >= ours.holdS)
