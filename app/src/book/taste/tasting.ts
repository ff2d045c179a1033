import { Tasting } from 'contract/book'
import type { Dish } from 'contract/dish'
import { EventId, type RunId } from 'contract/ids'
import type { Style } from 'core/book/balance/style'
import { atHandOf } from 'core/book/taste/atHand'
import {
  correctTaste,
  type Addition,
  type AtHand,
  type Correction,
  type Strength,
  type Verdict,
} from 'core/book/taste/correct'
import { densityFor } from 'core/measure/ingredient'
import { practicalMeasure, type MeasureTools, type PracticalMeasure } from 'core/measure/practical'
import { newId, stampNow } from '../../device/ids'
import { post } from '../../device/outbox'
import { judgeDish } from '../balance/judge'
import type { Shelf } from '../useShelf'

/** What stands at every station, whatever the dish: salt, sugar, acid, plain rice, water, glutamate. Common practice. */
const ALWAYS = ['salt-fine', 'sugar-white', 'rice-long-chilled-dry', 'lime-juice', 'water', 'glutamate']
const SEASONS = ['liquidSeasoning', 'drySeasoning', 'paste']
const MAX_AT_HAND = 10

/** A wok still tosses this much more than its largest batch. House figure. */
const ROOM = 1.15

/** What a cook can reach to mend the taste: the dish's own seasonings first. */
export function itemsAtHand(dish: Dish, shelf: Shelf): AtHand[] {
  const own = dish.components
    .filter((one) => SEASONS.includes(one.role))
    .flatMap((one) => {
      const source = shelf.lookup(one)
      return source ? [{ ...atHandOf(source), name: one.name }] : []
    })
  const always = ALWAYS.flatMap((id) => {
    const row = shelf.rows.find((one) => one.id === id)
    return row ? [{ ...atHandOf(row), name: row.aliases[0] ?? row.name }] : []
  })
  const known = new Set<string>()
  return [...own.slice(0, MAX_AT_HAND - always.length), ...always].filter(
    (one) => !known.has(one.id) && known.add(one.id),
  )
}

type Tasted = {
  dish: Dish
  shelf: Shelf
  style: Style
  day: string
  portions: number
  /** The most portions that a station of its kind takes. */
  cap: number
  verdict: Verdict
  strength: Strength
  atHand: readonly AtHand[]
}

/** What mends a batch of so many portions, and what is in the wok [g]. */
export function correctionFor(tasted: Tasted): { correction: Correction; massG: number } {
  const { dish, shelf, style, day, portions, cap, verdict, strength, atHand } = tasted
  const { metrics, massG, riceMassG } = judgeDish(
    dish.components,
    dish.portionRiceG,
    shelf,
    style,
    dish.schools.oil,
    day,
  ).balance
  const correction = correctTaste({
    massG: massG * portions,
    riceMassG: riceMassG * portions,
    saltFraction: metrics.saltFraction,
    sugarFraction: metrics.sugarFraction,
    fatFraction: metrics.fatFraction,
    freeLiquidFraction: metrics.freeLiquidFraction ?? 0,
    verdict,
    strength,
    atHand,
    bands: style.bands,
    mostMassG: massG * Math.max(cap, portions) * ROOM,
  })
  return { correction, massG: massG * portions }
}

type Noted = { dish: Dish; verdict: Verdict; strength: Strength; added: readonly Addition[]; runId: RunId | null }

/** Notes what was tasted, of a run where there is one, and what was added for it. */
export function noteTasting({ dish, verdict, strength, added, runId }: Noted): void {
  const tasting = Tasting.parse({
    id: EventId.parse(newId()),
    dishId: dish.id,
    dishVersion: dish.version,
    runId,
    verdict,
    strength,
    atMs: stampNow().atMs,
    added: added.map(({ id, name, massG }) => ({ id, name, massG })),
  })
  post({ kind: 'tasting', subjectId: dish.id, path: '/tastings', body: tasting })
}

/** How hands measure an addition. */
export function measureOf({ id, massG }: Addition, shelf: Shelf, tools: MeasureTools): PracticalMeasure {
  const row = shelf.rows.find((one) => one.id === id) ?? shelf.asIngredients.get(id)
  const density = row && densityFor(row, '')
  return practicalMeasure(
    {
      massG,
      isSalty: true,
      isPourable: (row?.freeLiquidFraction ?? 0) > 0,
      ...(density && { gPerML: density.gPerML }),
    },
    tools,
  )
}
