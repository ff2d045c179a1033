import { writeBulk } from 'core/measure/scaleUnit'
import type { Kitchen } from 'contract/kitchen'
import type { DayRicePlan } from 'core/rice/plan/ricePlanFor'
import ical, { ICalAlarmType } from 'ical-generator'

const MIN_S = 60

/** The rice plan as iCalendar (RFC 5545): one event a load from the heat to the tray, and one when the last is cold. */
export function planIcs(day: string, { plan, vessel }: DayRicePlan, kitchen: Kitchen, nowMs: number): string {
  const calendar = ical({ name: `Rice for ${day}, ${kitchen.name}`, prodId: '//Okazu//Rice plan//EN' })
  const bulk = (massG: number) => writeBulk(massG, kitchen.weighsIn, 2)
  plan.loads.forEach((load, i) => {
    const time = plan.times[i]
    if (!time) return
    calendar
      .createEvent({
        id: `rice-${day}-load-${i + 1}@${kitchen.id}.okazu`,
        stamp: new Date(nowMs),
        start: new Date(time.startMs),
        end: new Date(time.readyMs),
        summary: `Rice load ${i + 1} of ${plan.loads.length}`,
        description: `${bulk(load.dryMassG)} rice, ${bulk(load.waterG)} water in all, ${vessel.method}. Then spread ${(plan.depthM * 100).toFixed(1)} cm deep.`,
      })
      .createAlarm({ type: ICalAlarmType.display, triggerBefore: 10 * MIN_S })
  })
  const lastColdMs = plan.times.at(-1)?.coldMs ?? null
  if (lastColdMs !== null) {
    calendar.createEvent({
      id: `rice-${day}-cold@${kitchen.id}.okazu`,
      stamp: new Date(nowMs),
      start: new Date(lastColdMs),
      end: new Date(lastColdMs + 10 * MIN_S * 1000),
      summary: 'Last rice cold: read and log it',
      description: `${plan.trays} trays. The local code and the local inspector decide the limits.`,
    })
  }
  return calendar.toString()
}
