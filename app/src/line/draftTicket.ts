import type { Dish } from 'contract/dish'
import type { NewTicketBody } from 'contract/ticket'
import { MAX_PORTIONS } from 'contract/ticket'
import type { AllergenList } from 'core/book/allergens'
import { goneBecause } from 'core/line/plan/gone'
import { varyDish, type AllergenFound } from 'core/book/variation/vary'
import type { Allergen } from 'core/book/ingredient'

export type TicketDraftLine = {
  id: string
  dishId: string
  portions: number
  modifiers: string[]
  allergies: Allergen[]
  /** The lead who took on what something in it may contain. */
  allowedBy: string | null
}
export type TicketDraft = {
  lines: TicketDraftLine[]
  /** The line in hand, whose modifiers and allergies are shown. */
  chosenId: string | null
  /** Allergies were asked about: "none" is an answer, silence is not. */
  isAllergyAsked: boolean
  promisedAtMs: number | null
  kind: 'dine' | 'take'
  stool: number
}

export const EMPTY_DRAFT: TicketDraft = {
  lines: [],
  chosenId: null,
  isAllergyAsked: false,
  promisedAtMs: null,
  kind: 'dine',
  stool: 1,
}

/** A tap on a dish is a portion: on the dish's plain line, or a new one. */
export function addPortion(draft: TicketDraft, dishId: string, newId: string): TicketDraft {
  const plain = draft.lines.find(
    (line) => line.dishId === dishId && line.modifiers.length === 0 && line.allergies.length === 0,
  )
  if (!plain) {
    const line = { id: newId, dishId, portions: 1, modifiers: [], allergies: [], allowedBy: null }
    return { ...draft, lines: [...draft.lines, line], chosenId: newId }
  }
  return setPortions({ ...draft, chosenId: plain.id }, plain.id, plain.portions + 1)
}

/** A line with no portion left goes. */
export function setPortions(draft: TicketDraft, lineId: string, portions: number): TicketDraft {
  const capped = Math.min(MAX_PORTIONS, portions)
  const lines = draft.lines
    .map((line) => (line.id === lineId ? { ...line, portions: capped } : line))
    .filter((line) => line.portions > 0)
  const chosenId = lines.some((line) => line.id === draft.chosenId) ? draft.chosenId : (lines.at(-1)?.id ?? null)
  return { ...draft, lines, chosenId, isAllergyAsked: lines.length > 0 && draft.isAllergyAsked }
}

/** One portion of a line becomes a line of its own, to be made differently. */
export function splitOne(draft: TicketDraft, lineId: string, newId: string): TicketDraft {
  const line = draft.lines.find((one) => one.id === lineId)
  if (!line || line.portions < 2) return draft
  const lines = draft.lines.flatMap((one) =>
    one.id === lineId
      ? [
          { ...one, portions: one.portions - 1 },
          { ...one, id: newId, portions: 1 },
        ]
      : [one],
  )
  return { ...draft, lines, chosenId: newId }
}

export function toggleModifier(draft: TicketDraft, lineId: string, modifierId: string): TicketDraft {
  return changeLine(draft, lineId, (line) => ({
    ...line,
    modifiers: toggled(line.modifiers, modifierId),
    allowedBy: null,
  }))
}

export function toggleAllergy(draft: TicketDraft, lineId: string, allergen: Allergen): TicketDraft {
  const changed = changeLine(draft, lineId, (line) => ({
    ...line,
    allergies: toggled(line.allergies, allergen),
    allowedBy: null,
  }))
  return { ...changed, isAllergyAsked: true }
}

export function noAllergy(draft: TicketDraft, lineId: string): TicketDraft {
  return { ...changeLine(draft, lineId, (line) => ({ ...line, allergies: [], allowedBy: null })), isAllergyAsked: true }
}

function changeLine(draft: TicketDraft, lineId: string, how: (line: TicketDraftLine) => TicketDraftLine): TicketDraft {
  return { ...draft, lines: draft.lines.map((line) => (line.id === lineId ? how(line) : line)) }
}

const toggled = <T>(list: readonly T[], item: T): T[] =>
  list.includes(item) ? list.filter((one) => one !== item) : [...list, item]

export function allowLine(draft: TicketDraft, lineId: string, leadId: string): TicketDraft {
  return changeLine(draft, lineId, (line) => ({ ...line, allowedBy: leadId }))
}

export type DraftFault = {
  /** It stays in; nobody knows whether it is in; it may be in, and no lead has taken that on. */
  kind: 'stays' | 'unknown' | 'may'
  lineId: string
  dish: Dish
  allergen: Allergen
  components: string[]
}

/** The first line that the kitchen may not send as it stands, or null. */
export function draftFault(draft: TicketDraft, dishes: readonly Dish[], list: AllergenList): DraftFault | null {
  for (const line of draft.lines) {
    const dish = dishes.find((one) => one.id === line.dishId)
    if (!dish) continue
    const varied = varyDish(dish, line.modifiers, line.allergies, list)
    const fault = (kind: DraftFault['kind'], { allergen, components }: AllergenFound): DraftFault => ({
      kind,
      lineId: line.id,
      dish,
      allergen,
      components,
    })
    switch (varied.kind) {
      case 'allergen-stays':
        return fault('stays', varied)
      case 'allergen-unknown':
        return fault('unknown', varied)
      case 'varied':
        if (varied.perhaps[0] && line.allowedBy === null) return fault('may', varied.perhaps[0])
        break
      case 'unknown-modifier':
      case 'removes-rice':
    }
  }
  return null
}

/** The draft as the server takes it. */
export function ticketOf(
  draft: TicketDraft,
  id: string,
  promisedAtMs: number,
  place: string,
): NewTicketBody & { id: string } {
  const items = draft.lines.map(({ id: itemId, dishId, portions, modifiers, allergies, allowedBy }) => ({
    id: itemId,
    dishId,
    portions,
    modifiers,
    allergies,
    allowedBy,
  }))
  return {
    id,
    items,
    promisedAtMs: Math.round(promisedAtMs),
    kind: draft.kind,
    place,
    source: 'hand',
  }
}

/** The first line of which something is 86, and what; null where all of it can be cooked. */
export function draftGone(
  draft: TicketDraft,
  dishes: readonly Dish[],
  wishes: Parameters<typeof goneBecause>[2],
  list: AllergenList,
): { dish: Dish; name: string } | null {
  for (const line of draft.lines) {
    const dish = dishes.find((one) => one.id === line.dishId)
    const gone = dish && goneBecause(dish, line, wishes, list)
    if (dish && gone) return { dish, name: gone.kind === 'dish' ? dish.shortName : gone.name }
  }
  return null
}
