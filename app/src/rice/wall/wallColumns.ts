import type { RiceHouse } from 'contract/riceHouse'
import { inOrderOfUse } from 'core/rice/lot/allocate'
import { onHandOf, type ShownLot } from '../useLots'
import { placeIdOf } from '../shelf/placeOf'

/** A lot's column on the wall: where it stands, and which it is in the order of use (null where it may not be used yet). */
export type WallColumn = { shown: ShownLot; placeId: string; order: number | null }
/** A place along the wall: its columns stand side by side. */
export type WallPlace = { id: string; name: string; airTempC: number | null; columns: WallColumn[] }

const ON_HEAT = 'heat'
const ELSEWHERE = 'elsewhere'

/** Places along the wall in the house's order, the heat first; each with its lots, the first to use first. Empty places are left out. */
export function wallPlaces(
  lots: readonly ShownLot[],
  house: RiceHouse,
  words: { heat: string; elsewhere: string },
): WallPlace[] {
  const order = inOrderOfUse(lots.flatMap(onHandOf)).map((one) => one.id)
  const columns = lots.map((shown): WallColumn => {
    const at = order.indexOf(shown.lot.id)
    const placeId = shown.state.stage === 'cooking' ? ON_HEAT : (placeIdOf(shown, house) ?? ELSEWHERE)
    return { shown, placeId, order: at < 0 ? null : at + 1 }
  })
  const known = [
    { id: ON_HEAT, name: words.heat, airTempC: null },
    ...house.places.map(({ id, name, airTempC }) => ({ id, name, airTempC })),
  ]
  const isKnown = (id: string) => known.some((place) => place.id === id)
  return [
    ...known.map((place) => ({ ...place, columns: columns.filter((one) => one.placeId === place.id) })),
    { id: ELSEWHERE, name: words.elsewhere, airTempC: null, columns: columns.filter((one) => !isKnown(one.placeId)) },
  ]
    .map((place) => ({ ...place, columns: [...place.columns].sort(byUse) }))
    .filter((place) => place.columns.length > 0)
}

const byUse = (a: WallColumn, b: WallColumn) =>
  (a.order ?? Infinity) - (b.order ?? Infinity) || a.shown.lot.bornAtMs - b.shown.lot.bornAtMs
