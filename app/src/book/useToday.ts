import { localDay } from 'core/time/localTime'
import { kitchenNowMs } from '../device/clock'
import { useKitchen } from '../setup/useKitchen'

/** Today in the kitchen's zone, as `2026-11-25`. */
export function useToday(): string {
  const zone = useKitchen().data?.timeZone ?? 'UTC'
  return localDay(kitchenNowMs(), zone)
}
