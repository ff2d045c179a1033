import { bulkUnitOf, writeBulk, writeMass } from 'core/measure/scaleUnit'
import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse } from 'contract/riceHouse'
import { volumeUnitML } from 'core/measure/units'
import { bulkKgPerL } from 'core/rice/cookMethod'
import type { DayRicePlan } from 'core/rice/plan/ricePlanFor'
import { newPdf } from '../../print/fonts'
import { kitchenDates } from '../../print/kitchenDates'
import { Sheet } from '../../print/sheet'

/** The loads of a day on paper for the prep cook: by the scale and by the kitchen's own measures, with room for weights. */
export async function planSheet(
  day: string,
  { plan, planned, usableG, vessel, coldByMs }: DayRicePlan,
  kitchen: Kitchen,
  house: RiceHouse,
): Promise<Uint8Array> {
  const { pdf, fonts } = await newPdf(`Rice for ${day}`)
  const sheet = new Sheet(pdf, fonts)
  const { time } = kitchenDates(kitchen)
  const { blend, wash, tray } = house.policy
  const name = house.vessels.find((one) => one.id === vessel.id)?.name ?? vessel.id
  const { weighsIn, readsIn } = kitchen
  const bulk = (massG: number, digits = 2) => writeBulk(massG, weighsIn, digits)
  sheet.write(`Rice for ${day}`, { size: 18, bold: true })
  sheet.write(kitchen.name, {})
  sheet.write(
    `${Math.round(planned.expected)} portions expected, ${plan.portions} planned: ${bulk(plan.wantedG, 1)} cooked rice, ${bulk(usableG, 1)} of it in the house, ${bulk(plan.toCookG, 1)} to cook.`,
    { before: 6 },
  )
  const grains = Object.entries(blend).map(([grain, share]) => `${Math.round(share * 100)} % ${grain}`)
  sheet.write(`${name}; ${grains.join(', ')}; washed: ${wash}; drain well.`, {})
  const cupML = volumeUnitML('cup', kitchen.tools.system) ?? 250
  plan.loads.forEach((load, i) => {
    const times = plan.times[i]
    sheet.keepTogether(5)
    sheet.write(
      `Load ${i + 1} of ${plan.loads.length}${times ? `, ${time(times.startMs)} to ${time(times.readyMs)}` : ''}`,
      {
        bold: true,
        size: 13,
        before: 12,
      },
    )
    const cups = load.dryMassG / bulkKgPerL(blend) / cupML
    sheet.write(`${bulk(load.dryMassG)} rice (${cups.toFixed(1)} cups), ${bulk(load.waterG)} water in all`, {
      size: 13,
    })
    if (load.heldWaterG > 0)
      sheet.write(
        `${writeMass(load.heldWaterG, weighsIn)} of the water hangs on the washed grain: weigh with the grain.`,
        {},
      )
    sheet.write(
      `Weighed out of the vessel: ____________ ${bulkUnitOf(weighsIn)}     at ____:____     in the middle ______ °${readsIn}`,
      { before: 4 },
    )
  })
  sheet.write(
    `Spread on ${plan.trays} trays ${tray.name}, ${(plan.depthM * 100).toFixed(1)} cm deep. All cold by ${time(coldByMs)}. The local code and the local inspector decide the limits.`,
    { before: 12 },
  )
  sheet.signatures(['Cooked by', 'Cold, checked by'])
  return pdf.save()
}
