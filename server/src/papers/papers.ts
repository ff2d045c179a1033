import { recipeLabel } from '../book/print/recipeLabel'
import { stationCard } from '../book/print/stationCard'
import { prepSheet } from '../mise/files/planSheet'
import { labelPdf, labelPng } from '../print/labels'
import { coolingDaySheet } from '../rice/print/daySheet'
import { planSheet } from '../rice/print/planSheet'

/** Everything that the kitchen prints, by name. Each takes plain values only, so that another thread can draw it. */
const PAPERS = { recipeLabel, stationCard, prepSheet, labelPdf, labelPng, coolingDaySheet, planSheet }

export type PaperName = keyof typeof PAPERS
type Values<Name extends PaperName> = Parameters<(typeof PAPERS)[Name]>
/** Draws a paper and answers its bytes, as a PDF or a PNG. */
export type DrawPaper = <Name extends PaperName>(
  name: Name,
  ...values: Values<Name>
) => Promise<Uint8Array<ArrayBuffer>>

/** A paper with its values, as it goes to another thread. */
export type AskedPaper = { name: PaperName; values: readonly unknown[] }

/** Draws what `DrawPaper` asked for; that type is what keeps the values right for the name. */
export async function drawAsked({ name, values }: AskedPaper): Promise<Uint8Array<ArrayBuffer>> {
  const draw = PAPERS[name] as (...all: readonly unknown[]) => Uint8Array | Promise<Uint8Array>
  return new Uint8Array(await draw(...values))
}

/** Draws on the thread that asks: for tests of what is on the paper. */
export const drawPaper: DrawPaper = (name, ...values) => drawAsked({ name, values })
