import type { Kitchen } from 'contract/kitchen'
import type { RicePolicy } from 'contract/riceHouse'
import { dayAfter, instantOf, localDay } from 'core/time/localTime'

/** One service of one day. */
export type Sitting = {
  id: string
  day: string
  serviceId: string
  serviceName: string
  fromMs: number
  toMs: number
}

/** Lead times reach four days ahead. */
const DAYS_AHEAD = 4

/** Services from today to four days ahead that are not over. */
export function sittingsFrom(nowMs: number, kitchen: Kitchen, { services }: RicePolicy): Sitting[] {
  const today = localDay(nowMs, kitchen.timeZone)
  return Array.from({ length: DAYS_AHEAD + 1 }, (_, ahead) => dayAfter(today, ahead))
    .flatMap((day) =>
      services.map((service) => ({
        id: `${day}-${service.id}`,
        day,
        serviceId: service.id,
        serviceName: service.name,
        fromMs: instantOf(day, service.fromMin, kitchen.timeZone),
        toMs: instantOf(day, service.toMin, kitchen.timeZone),
      })),
    )
    .filter((sitting) => sitting.toMs > nowMs)
    .sort((a, b) => a.fromMs - b.fromMs)
}
