import { writeMass } from 'core/measure/scaleUnit'
import type { Kitchen } from 'contract/kitchen'
import type { MiseLot, StockRow } from 'contract/mise/stock'
import { kitchenDates } from '../../print/kitchenDates'
import type { LabelText } from '../../print/labelDrawing'

/** What stands on the label of a made lot: its name, what it is, when it was made, use by in large, and where to read on. */
export function lotLabelText(
  lot: MiseLot,
  row: Pick<StockRow, 'name' | 'form'>,
  kitchen: Kitchen,
  origin: string,
): LabelText {
  const { dayTime } = kitchenDates(kitchen)
  return {
    name: lot.name,
    grain: `${row.name} ${row.form}`.trim(),
    cooked: `made ${dayTime(lot.atMs)}`,
    useBy: lot.useByMs === null ? 'no use-by: ask' : `use by ${dayTime(lot.useByMs)}`,
    mass: writeMass(lot.massG, kitchen.weighsIn),
    url: `${origin}/mise/count`,
  }
}
