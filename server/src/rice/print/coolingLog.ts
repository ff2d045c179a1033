import type { Kitchen } from 'contract/kitchen'
import type { Lot } from 'contract/rice'
import type { RiceHouse } from 'contract/riceHouse'
import type { LoggedEvent, LotState } from 'core/rice/lot/lotState'
import { stringify } from 'csv-stringify/sync'
import { csvText as text } from '../../http/csv'
import { foldLot, policyOf } from '../foldLot'

const iso = (ms: number | null) => (ms === null ? '' : new Date(ms).toISOString())

export type LoggedLot = { lot: Lot; state: LotState }

export const loggedLots = (lots: readonly Lot[], kitchen: Kitchen, house: RiceHouse, nowMs: number): LoggedLot[] =>
  lots.map((lot) => ({ lot, state: foldLot(lot, policyOf(kitchen, house), nowMs) }))

/** What was decided of a lot, in a word and why. */
export function outcome({ state }: LoggedLot): string {
  if (state.end) return state.end.reason ? `${state.end.kind}: ${state.end.reason}` : state.end.kind
  return state.stage
}

/** A reading as it was said, whether it counts or not: nothing is left out of the log. */
type LoggedReading = {
  atMs: number
  tempC: number
  tempF: number | null
  source: string
  doubt: string | null
  entry: LoggedEvent
}

/** Every reading that was said of a lot, struck-out ones and those it was split off with too, oldest first. */
export function loggedReadings({ state }: LoggedLot): LoggedReading[] {
  return state.log.flatMap((entry): LoggedReading[] => {
    const { event } = entry
    if (event.kind === 'took') return (event.brought?.readings ?? []).map((one) => ({ ...one, entry }))
    if (event.kind !== 'read' && event.kind !== 'spread') return []
    const { atMs, tempC, tempF = null } = event
    const source = event.kind === 'read' ? event.source : 'dial'
    return [{ atMs, tempC, tempF, source, doubt: event.kind === 'read' ? event.doubt : null, entry }]
  })
}

/** Who said something: a person by name where the device knew one, else the device. */
export const whoOf = (
  { staff, formerStaff = [] }: Pick<Kitchen, 'staff' | 'formerStaff'>,
  event: Pick<LoggedEvent['event'], 'staffId' | 'deviceId'>,
): string =>
  [...staff, ...formerStaff].find((one) => one.id === event.staffId)?.name ?? `device ${event.deviceId.slice(0, 8)}`

/** The cooling log as CSV (RFC 4180), a line a reading, struck-out ones too, every lot at least once; times in UTC. */
export function coolingLogCsv(logged: readonly LoggedLot[], kitchen: Pick<Kitchen, 'staff' | 'formerStaff'>): string {
  const lines = logged.flatMap((one) => {
    const { lot, state } = one
    const head = [
      lot.name,
      text(lot.grain),
      lot.origin,
      iso(lot.bornAtMs),
      iso(state.spreadAtMs),
      state.spreadMassG ?? state.massG,
      state.depthM === null ? '' : Math.round(state.depthM * 1000) / 10,
    ]
    const tail = [
      state.logs.map((log) => log.ruleSet).join(' '),
      state.verdict,
      outcome(one),
      state.isAccepted ? 'accepted' : '',
      iso(state.end?.atMs ?? null),
    ]
    const readings = loggedReadings(one).map(({ atMs, tempC, tempF, source, doubt, entry }) => [
      iso(atMs),
      tempC,
      tempF ?? '',
      source,
      doubt ?? '',
      text(whoOf(kitchen, entry.event)),
      entry.counts ? 'yes' : 'no',
      entry.why ?? '',
      entry.struckBy ? text(whoOf(kitchen, entry.struckBy)) : '',
      iso(entry.struckBy?.atMs ?? null),
    ])
    const none = Array.from({ length: 10 }, () => '')
    return (readings.length > 0 ? readings : [none]).map((reading) => [...head, ...reading, ...tail])
  })
  return stringify(lines, {
    header: true,
    record_delimiter: 'windows',
    columns: [
      'lot',
      'grain',
      'origin',
      'begunAt',
      'spreadAt',
      'massG',
      'depthCm',
      'readAt',
      'tempC',
      'tempF',
      'source',
      'doubt',
      'readBy',
      'counts',
      'why',
      'struckOutBy',
      'struckOutAt',
      'ruleSets',
      'verdict',
      'outcome',
      'accepted',
      'endedAt',
    ],
  })
}
