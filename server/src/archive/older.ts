import type { Row } from './rows'

/**
 * Migrations that only add tables, columns or an index, by name, with what a row from before them has there: table, column, value. A file
 * that was written before these alone is read as it is; any other migration changed what a row means.
 */
const ADDS: Readonly<Record<string, Readonly<Record<string, Row>>>> = {
  '0017_instruments.sql': { kitchen: { instruments: [] } },
  '0018_run_words.sql': {},
  '0019_taken_back.sql': { station_event: { undone_by: null } },
  '0020_weighs_in.sql': { kitchen: { weighs_in: 'g' } },
  '0021_complaints.sql': {},
}

/**
 * What the rows of an older archive lack, by table.
 * @param schema the newest migration that the archive was written at
 * @param migrations those of this program, oldest first
 * @returns nothing to add where it is of today; null where a row from then cannot be read as it is
 */
export function lackingSince(schema: string, migrations: readonly string[]): Readonly<Record<string, Row>> | null {
  const lacking: Record<string, Row> = {}
  for (const migration of migrations.filter((name) => name > schema)) {
    const added = ADDS[migration]
    if (!added) return null
    for (const [table, row] of Object.entries(added)) lacking[table] = { ...lacking[table], ...row }
  }
  return lacking
}
