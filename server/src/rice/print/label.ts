import { writeBulk } from 'core/measure/scaleUnit'
import type { Kitchen } from 'contract/kitchen'
import type { Lot } from 'contract/rice'
import type { LotState } from 'core/rice/lot/lotState'
import { kitchenDates } from '../../print/kitchenDates'
import type { LabelText } from '../../print/labelDrawing'

export function labelText(lot: Lot, state: LotState, kitchen: Kitchen, origin: string): LabelText {
  const { dayTime, day } = kitchenDates(kitchen)
  const massG = state.spreadMassG ?? state.massG
  return {
    name: lot.name,
    grain: `${lot.grain}${state.freezes > 0 ? ', frozen once' : ''}`,
    cooked: state.cookedAtMs === null ? 'on the heat' : `cooked ${dayTime(state.cookedAtMs)}`,
    useBy: state.useByMs === null ? 'label after weighing' : `use by ${day(state.useByMs)}`,
    mass: massG > 0 ? writeBulk(massG, kitchen.weighsIn) : '',
    url: `${origin}/rice/${lot.id}`,
  }
}
