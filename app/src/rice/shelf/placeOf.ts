import type { RiceHouse } from 'contract/riceHouse'
import type { ShownLot } from '../useLots'

/** A lot without a named place stands in the first of its kind. */
export const placeIdOf = ({ state }: ShownLot, house: RiceHouse): string | null =>
  state.placeId ?? house.places.find((place) => place.kind === state.place)?.id ?? null
