import type { Run, RunRow } from 'contract/run'
import { runRecord, type StepRecord } from 'core/record/runSummary'
import { stringify } from 'csv-stringify/sync'
import { csvText as text } from '../http/csv'

const iso = (ms: number | null) => (ms === null ? '' : new Date(ms).toISOString())

/** Past runs as CSV (RFC 4180, UTF-8), a line a run; times in UTC, amounts in grams. */
export function runsCsv(rows: readonly RunRow[]): string {
  return stringify(
    rows.map((row) => [
      row.id,
      iso(row.firedAtMs),
      iso(row.endedAtMs),
      row.state,
      text(row.dishName),
      row.portions,
      row.tickets.join(' '),
      row.stationId,
      row.cookId ?? '',
      row.lots.map(text).join(' '),
      row.riceMassG,
      row.plannedS,
      row.actualS ?? '',
      row.afterPromiseS ?? '',
      row.hasAllergy ? 'yes' : 'no',
      row.troubles,
    ]),
    {
      header: true,
      record_delimiter: 'windows',
      columns: [
        'run',
        'firedAt',
        'endedAt',
        'state',
        'dish',
        'portions',
        'tickets',
        'station',
        'cook',
        'lots',
        'riceMassG',
        'plannedS',
        'actualS',
        'afterPromiseS',
        'allergy',
        'troubles',
      ],
    },
  )
}

function answerText({ ok, tempC, tempF, atMs }: StepRecord['checks'][number]): string {
  const degrees = tempF !== null ? ` ${tempF} °F` : tempC !== null ? ` ${tempC} °C` : ''
  return `${ok ? 'yes' : 'no'}${degrees} ${iso(atMs)}`
}

/** One run as CSV, a line for each thing that happened in a step: planned and actual seconds from the firing. */
export function runCsv(run: Run, nowMs: number): string {
  const { steps } = runRecord(run, run.events, nowMs)
  const lines = steps.flatMap((record) => {
    const entries = record.step.entries.length > 0 ? record.step.entries : [null]
    return entries.map((entry) => [
      record.step.id,
      record.step.action,
      record.step.heat,
      record.plannedStartS ?? '',
      record.actualStartS ?? '',
      record.lateS ?? '',
      record.endedBy ?? '',
      entry ? text(entry.name) : '',
      entry?.motion ?? '',
      entry ? Math.round(entry.massG * 10) / 10 : '',
      entry ? Math.round(entry.measure.massG * 10) / 10 : '',
      record.step.check ? `${record.step.check.food} ${record.step.check.limit.coreC} °C` : '',
      record.checks.map(answerText).join('; '),
    ])
  })
  return stringify(lines, {
    header: true,
    record_delimiter: 'windows',
    columns: [
      'step',
      'action',
      'heat',
      'plannedStartS',
      'actualStartS',
      'lateS',
      'endedBy',
      'component',
      'motion',
      'massG',
      'measuredG',
      'check',
      'answers',
    ],
  })
}
