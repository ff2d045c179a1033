import type { LabelPrinted } from 'contract/devices'
import type { KitchenContext } from '../../http/context'
import { Problem } from '../../http/problems'
import type { LabelText } from '../../print/labelDrawing'
import { needInstrument } from '../needInstrument'

/**
 * Draws a label and gives it to the kitchen's label printer.
 * @throws {Problem} no-instrument where the kitchen has no printer, printer where it would not print
 */
export async function printLabel(
  { pool, kitchenId, draw, printer }: KitchenContext,
  text: LabelText,
  copies: number,
): Promise<LabelPrinted> {
  await needInstrument(pool, kitchenId, 'printer')
  const [png, pdf] = await Promise.all([draw('labelPng', text), draw('labelPdf', text, '60x40', copies)])
  const done = await printer.print({ name: text.name, png, pdf, copies })
  if (done.kind === 'refused')
    throw new Problem('printer', { detail: `the printer says: ${done.why}`, values: { why: done.why } })
  return { copies, where: done.where }
}
