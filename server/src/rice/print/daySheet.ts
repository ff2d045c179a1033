import { writeBulk } from 'core/measure/scaleUnit'
import type { Kitchen } from 'contract/kitchen'
import type { TempLimit } from 'core/measure/temperature'
import { COOLING_LIMITS } from 'core/safety/coolingLimits'
import { loggedReadings, outcome, whoOf, type LoggedLot } from './coolingLog'
import { newPdf } from '../../print/fonts'
import { Sheet } from '../../print/sheet'
import { kitchenDates } from '../../print/kitchenDates'

const READINGS_A_LINE = 6

const degrees = (tempC: number, tempF: number | null) =>
  tempF === null ? `${tempC.toFixed(1)} °C` : `${tempF.toFixed(1)} °F`

/** The cooling log of a day on paper: each lot with its readings and outcome, and lines to sign. */
export async function coolingDaySheet(
  day: string,
  logged: readonly LoggedLot[],
  kitchen: Kitchen,
): Promise<Uint8Array> {
  const { pdf, fonts } = await newPdf(`Cooling log ${day}`)
  const sheet = new Sheet(pdf, fonts)
  const { dayTime, time } = kitchenDates(kitchen)
  const limitOf = ({ tempC, tempF }: TempLimit) => (kitchen.readsIn === 'F' ? `${tempF} °F` : `${tempC} °C`)
  sheet.write(`Rice cooling log, ${day}`, { size: 18, bold: true })
  sheet.write(kitchen.name, {})
  sheet.write(`Rule set: ${COOLING_LIMITS[kitchen.ruleSet].source}. The local code and the local inspector decide.`, {})
  if (logged.length === 0) sheet.write('No rice was cooked or taken in on this day.', { bold: true, before: 10 })
  for (const one of logged) {
    const { lot, state } = one
    sheet.keepTogether(5)
    const mass = state.spreadMassG ?? state.massG
    sheet.write(`${lot.name}  ${lot.grain}, ${writeBulk(mass, kitchen.weighsIn, 2)}, ${lot.origin}`, {
      bold: true,
      before: 12,
      size: 12,
    })
    if (state.spreadAtMs !== null) {
      const depth = state.depthM === null ? '' : `, ${(state.depthM * 100).toFixed(1)} cm deep`
      sheet.write(`Spread ${dayTime(state.spreadAtMs)} on ${state.trays} trays${depth}`, {})
    }
    const readings = loggedReadings(one)
    const standing = readings.filter(({ entry }) => entry.why !== 'struckOut')
    const words = standing.map(
      ({ atMs, tempC, tempF, doubt }) => `${time(atMs)}  ${degrees(tempC, tempF)}${doubt ? ` (${doubt}?)` : ''}`,
    )
    for (let i = 0; i < words.length; i += READINGS_A_LINE)
      sheet.write(words.slice(i, i + READINGS_A_LINE).join('     '), {})
    for (const { atMs, tempC, tempF, entry } of readings) {
      if (!entry.struckBy) continue
      sheet.write(`${time(atMs)}  ${degrees(tempC, tempF)}`, { isStruck: true })
      sheet.write(`struck out by ${whoOf(kitchen, entry.struckBy)}, ${dayTime(entry.struckBy.atMs)}`, {})
    }
    for (const { ruleSet, log } of state.logs) {
      const steps = log.steps.map(
        (step) => `${limitOf(step)} by ${step.limitMs === null ? '…' : time(step.limitMs)}: ${step.verdict}`,
      )
      sheet.write(`${ruleSet.toUpperCase()}: ${steps.join(', ')}`, {})
    }
    const accepted = lot.events.findLast(({ kind }) => kind === 'accepted')
    const by = state.isAccepted && accepted?.kind === 'accepted' ? accepted : null
    sheet.write(`Outcome: ${outcome(one)}${by ? `, accepted by ${whoOf(kitchen, by)}: ${by.reason}` : ''}`, {
      bold: true,
    })
  }
  sheet.signatures(['Logged by', 'Checked by'])
  return pdf.save()
}
