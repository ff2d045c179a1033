import { useWords } from '../../words/i18n'
import type { SaidHere } from '../useLots'
import type { LotPage } from './lotPage'

/** The words for moving a cold lot, covered, to the first place of a kind that the kitchen has. */
export function useMoveTo({ house }: Pick<LotPage, 'house'>): (kind: 'bench' | 'fridge' | 'freezer') => SaidHere {
  return (kind) => {
    const place = house.places.find((one) => one.kind === kind)
    return {
      kind: 'moved',
      place: kind,
      placeId: place?.id ?? null,
      covered: true,
      airTempC: place?.airTempC ?? null,
      depthM: null,
    }
  }
}

/** What such a place is called here. */
export function usePlaceOf({ house }: Pick<LotPage, 'house'>): (kind: 'bench' | 'fridge' | 'freezer') => string {
  const t = useWords('rice')
  return (kind) => house.places.find((one) => one.kind === kind)?.name ?? t(`places.${kind}`)
}
