import { Dish, HouseStandard, Modifier, StationKind } from 'contract/dish'
import { Pin } from 'contract/pin'
import { StatedSchools } from 'contract/schools'
import { Stages } from 'contract/stages'
import { ROLES, SCALINGS, STATES } from 'core/book/dish'
import { schoolsOfToday } from 'core/book/schools'
import { z } from 'zod'
import { forget, keep, readKept } from '../../device/storage'
import type { EditedDish } from './draft'

const CurrentLine = z.object({
  key: z.string(),
  written: z.string(),
  name: z.string(),
  cut: z.string(),
  role: z.enum(ROLES).nullable(),
  state: z.enum(STATES).nullable(),
  scaling: z.enum(SCALINGS),
  filmG: z.number(),
  capG: z.number(),
  stages: Stages.or(z.tuple([])).default([]),
  ingredientId: z.string().nullable(),
  recipeId: z.string().nullable(),
  componentId: z.string().nullable(),
  keptRatio: z.object({ written: z.string(), ratioG: z.number(), riceG: z.number() }).nullable(),
})
/** Lines kept by an earlier version of this page called the amount otherwise. */
const BeforeLine = z
  .looseObject({
    amount: z.string(),
    asWritten: z.object({ amount: z.string(), ratioG: z.number(), riceG: z.number() }).nullable(),
  })
  .transform(({ amount, asWritten, ...line }) => ({
    ...line,
    written: amount,
    keptRatio: asWritten && { written: asWritten.amount, ratioG: asWritten.ratioG, riceG: asWritten.riceG },
  }))
  .pipe(CurrentLine)
const Line = z.union([CurrentLine, BeforeLine])

const Kept = z.object({
  /** The dish that the edit began from; null for a new one. */
  base: Dish.extend({ schools: z.preprocess(schoolsOfToday, StatedSchools) }).nullable(),
  draft: z.object({
    head: z.object({
      name: z.string(),
      shortName: z.string(),
      stationKind: StationKind,
      schools: z.preprocess(schoolsOfToday, StatedSchools),
      pins: z.array(Pin).default([]),
      style: z.string(),
      portionRiceG: z.number(),
      price: z.string(),
      ceiling: z.string(),
      holdFree: z.string().default(''),
      holdMost: z.string().default(''),
      modifiers: z.array(Modifier),
      standard: HouseStandard.nullable(),
    }),
    lines: z.array(Line),
  }),
})
type KeptDraft = { base: Dish | null; draft: EditedDish }

const keyOf = (id: string | null) => `okazu.draft/${id ?? 'new'}`

/** What was edited on this device and not saved, or null. */
export function readDraft(id: string | null): KeptDraft | null {
  try {
    return Kept.safeParse(JSON.parse(readKept(keyOf(id)) ?? 'null')).data ?? null
  } catch {
    return null
  }
}

export const keepDraft = (id: string | null, kept: KeptDraft) => keep(keyOf(id), JSON.stringify(kept))
export const dropDraft = (id: string | null) => forget(keyOf(id))
