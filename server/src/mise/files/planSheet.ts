import { writeMass } from 'core/measure/scaleUnit'
import type { Kitchen } from 'contract/kitchen'
import type { MisePlan } from 'contract/mise/plan'
import type { KitchenPlan } from 'core/mise/doing/planKitchen'
import { newPdf } from '../../print/fonts'
import { kitchenDates } from '../../print/kitchenDates'
import { Sheet } from '../../print/sheet'
import { cautionText, namesOf, taskText } from './taskText'

/** The prep of a service on paper: by person, in order, with latest starts, cautions, boxes to tick, and what to buy. */
export async function prepSheet(plan: MisePlan, { all, schedule }: KitchenPlan, kitchen: Kitchen): Promise<Uint8Array> {
  const { pdf, fonts } = await newPdf(`Prep for ${plan.serviceName} ${plan.day}`)
  const sheet = new Sheet(pdf, fonts)
  const { dayTime } = kitchenDates(kitchen)
  const mine = all.tasks.filter((task) => task.id.startsWith(`${plan.id}/`) && task.status !== 'done')
  const at = new Map(schedule.tasks.map((one) => [one.id, one]))
  sheet.write(`Prep for ${plan.serviceName}, ${plan.day}`, { size: 18, bold: true })
  const portions = (plan.drawn?.portions ?? []).reduce((sum, one) => sum + one.portions, 0)
  sheet.write(`${kitchen.name}. Back from ${dayTime(plan.fromMs)}, ${portions} portions.`, {})
  const groups = new Map<string, typeof mine>()
  for (const task of mine) {
    const names = task.hands === 0 ? 'No hands' : namesOf(at.get(task.id)?.who ?? [], kitchen) || 'Nobody yet'
    groups.set(names, [...(groups.get(names) ?? []), task])
  }
  for (const [names, tasks] of [...groups].sort(([a], [b]) => (a < b ? -1 : 1))) {
    sheet.keepTogether(3)
    sheet.write(names, { bold: true, size: 13, before: 12 })
    tasks.sort((a, b) => (at.get(a.id)?.startMs ?? Infinity) - (at.get(b.id)?.startMs ?? Infinity))
    for (const task of tasks) {
      const slot = at.get(task.id)
      const when = slot ? dayTime(slot.startMs) : 'not in the plan'
      const latest = slot?.latestStartMs ? `, latest ${dayTime(slot.latestStartMs)}` : ''
      sheet.write(`[  ]  ${when}  ${taskText(task, kitchen)}  (${Math.round(task.durationS / 60)} min${latest})`, {})
      if (task.cautions.length > 0) sheet.write(`        ${cautionText(task.cautions)}`, { size: 8.5 })
    }
  }
  const buy = plan.drawn?.buy ?? []
  if (buy.length > 0) sheet.write('To buy', { bold: true, size: 13, before: 12 })
  for (const line of buy)
    sheet.write(
      `[  ]  ${line.name}: ${writeMass(line.neededG, kitchen.weighsIn)}${line.packs === null ? '' : `, ${line.packs} × ${line.packName}`}`,
      {},
    )
  sheet.write('The local code and the local inspector decide the limits.', { before: 12 })
  sheet.signatures(['Prep done', 'Checked by'])
  return pdf.save()
}
