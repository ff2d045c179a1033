import type { Kitchen } from 'contract/kitchen'
import type { Lot } from 'contract/rice'
import type { RiceHouse } from 'contract/riceHouse'
import type { LotState } from 'core/rice/lot/lotState'
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

/** The cooling log as CSV (RFC 4180), a line a reading, every lot at least once; times in UTC. */
export function coolingLogCsv(logged: readonly LoggedLot[]): string {
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
    const readings = state.readings.map((reading) => [
      iso(reading.atMs),
      reading.tempC,
      reading.source,
      reading.doubt ?? '',
    ])
    return (readings.length > 0 ? readings : [['', '', '', '']]).map((reading) => [...head, ...reading, ...tail])
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
      'source',
      'doubt',
      'ruleSets',
      'verdict',
      'outcome',
      'accepted',
      'endedAt',
    ],
  })
}
