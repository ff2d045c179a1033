import { writeMass } from 'core/measure/scaleUnit'
import type { Kitchen } from 'contract/kitchen'
import type { TaskState } from 'core/mise/doing/foldDay'
import type { PrepCaution } from 'core/mise/need/cautions'
import type { StepKind } from 'core/mise/need/cards'

const VERBS: Readonly<Record<StepKind, string>> = {
  thaw: 'Thaw',
  soak: 'Soak',
  wash: 'Wash',
  cut: 'Cut',
  pick: 'Pick',
  mix: 'Mix',
  marinate: 'Marinate',
  pound: 'Pound',
  blanch: 'Blanch',
  steam: 'Steam',
  simmer: 'Simmer',
  toast: 'Toast',
  dry: 'Dry',
  press: 'Press',
  cool: 'Cool',
  spread: 'Spread',
  cook: 'Cook',
  rails: 'Set the rails',
}

const CAUTION_TEXT: Readonly<Record<PrepCaution, string>> = {
  raw: 'raw: own board and knife, wash hands after',
  shellfish: 'shellfish: allergen, look for shell',
  slicer: 'thin cuts: guard on, fingers back',
  hotOil: 'hot tray or oil: dry cloth, nothing wet near it',
  steam: 'steam: open away from you',
  chilli: 'chilli: ventilate, gloves, not near the eyes',
  thaw: 'thaw in the cold or under cold running water',
  nuts: 'nuts: allergen, away from other boards',
  lift: 'heavy: two people or half at a time',
}

/** A task in one line: what, of what, how much. */
export function taskText(
  { kind, name, massG, cut, share }: Pick<TaskState, 'kind' | 'name' | 'massG' | 'cut' | 'share'>,
  { weighsIn }: Pick<Kitchen, 'weighsIn'>,
): string {
  if (kind === 'rails') return VERBS.rails
  const form = cut ? `, ${cut.shape}${cut.sizeMm === null ? '' : ` ${cut.sizeMm} mm`}` : ''
  return `${VERBS[kind]} ${name}: ${writeMass(massG * share, weighsIn)}${form}`
}

export const cautionText = (cautions: readonly PrepCaution[]) => cautions.map((one) => CAUTION_TEXT[one]).join('; ')
export const namesOf = (who: readonly string[], { staff }: Kitchen) =>
  who.map((id) => staff.find((one) => one.id === id)?.name ?? id).join(', ')
