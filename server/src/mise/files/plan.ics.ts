import type { Kitchen } from 'contract/kitchen'
import type { MisePlan } from 'contract/mise/plan'
import type { KitchenPlan } from 'core/mise/doing/planKitchen'
import ical, { ICalAlarmType } from 'ical-generator'
import { cautionText, namesOf, taskText } from './taskText'

const MIN_S = 60
const ALARM_S = 5 * MIN_S

/** The prep of a service as iCalendar (RFC 5545): one event a task, hands or none, who has it, and what may hurt. */
export function planIcs(plan: MisePlan, { all, schedule }: KitchenPlan, kitchen: Kitchen, nowMs: number): string {
  const calendar = ical({
    name: `Prep for ${plan.serviceName} ${plan.day}, ${kitchen.name}`,
    prodId: '//Okazu//Prep plan//EN',
  })
  for (const task of all.tasks) {
    const at = schedule.tasks.find((one) => one.id === task.id)
    if (!at || !task.id.startsWith(`${plan.id}/`) || task.status === 'done') continue
    const names = namesOf(at.who, kitchen)
    const latest = at.latestStartMs === null ? [] : [`latest start ${new Date(at.latestStartMs).toISOString()}`]
    const lines = [
      task.hands === 0 ? 'no hands' : names || 'nobody yet',
      ...latest,
      ...(task.equipment.length > 0 ? [task.equipment.join(', ')] : []),
      ...(task.cautions.length > 0 ? [`${cautionText(task.cautions)}. The local code decides.`] : []),
    ]
    calendar
      .createEvent({
        id: `${encodeURIComponent(task.id)}@${kitchen.id}.okazu`,
        stamp: new Date(nowMs),
        start: new Date(at.startMs),
        end: new Date(at.endMs),
        summary: names ? `${names}: ${taskText(task, kitchen)}` : taskText(task, kitchen),
        description: lines.join('\n'),
      })
      .createAlarm({ type: ICalAlarmType.display, triggerBefore: ALARM_S })
  }
  return calendar.toString()
}
