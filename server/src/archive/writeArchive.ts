import { ARCHIVE_VERSION, type ArchiveFile, type ArchiveManifest } from 'contract/archive'
import type { Pool } from 'mysql2/promise'
import { stringify } from 'csv-stringify/sync'
import { createHash } from 'node:crypto'
import { PassThrough, Readable } from 'node:stream'
import { ZipFile } from 'yazl'
import { snapshot, type Row } from './rows'
import { csvText } from '../http/csv'
import { kitchenTables, type Table } from './tables'

type From = { pool: Pool; kitchenId: string; migrations: readonly string[]; now: () => number }

/**
 * A whole kitchen as one zip, written while it is read: `tables/NAME.json` with a row a line, `csv/NAME.csv` for a
 * spreadsheet, and last the manifest with what each file comes to. All of it is of one instant, that of the first byte that
 * is asked for. @throws {Error} where the database goes meanwhile: then there is no manifest
 */
export async function* writeArchive({ pool, kitchenId, migrations, now }: From): AsyncGenerator<Buffer> {
  const view = await snapshot(pool)
  try {
    const tables = await kitchenTables(view.connection)
    const zip = new Checked(now())
    let kitchenName = ''
    for (const table of tables) {
      const counted = zip.count(view.rowsOf(table, kitchenId), (row) => {
        if (table.name === 'kitchen') kitchenName = String(row['name'])
      })
      zip.add(`tables/${table.name}.json`, linesOf(counted.rows), counted.sum)
    }
    for (const table of tables) {
      const plain = { ...table, columns: table.columns.filter(({ as }) => as !== 'json') }
      zip.add(`csv/${table.name}.csv`, csvOf(plain, view.rowsOf(plain, kitchenId)), () => null)
    }
    const manifest = (files: ArchiveFile[]): ArchiveManifest => ({
      format: 'okazu-kitchen',
      version: ARCHIVE_VERSION,
      schema: migrations.at(-1) ?? '',
      kitchen: { id: kitchenId, name: kitchenName },
      exportedAtMs: Math.round(now()),
      files,
    })
    yield* zip.end('manifest.json', (files) => JSON.stringify(manifest(files), null, 2))
  } finally {
    view.end()
  }
}

/** A zip whose files are written when their turn comes, and that knows what each of them came to. */
class Checked {
  private readonly zip = new ZipFile()
  private readonly files: ArchiveFile[] = []
  private readonly out = new PassThrough()
  private readonly options: { mtime: Date }

  constructor(nowMs: number) {
    this.options = { mtime: new Date(nowMs) }
    this.zip.on('error', (error) => this.out.destroy(error as Error))
  }

  /** Rows that are counted as they go by. */
  count(rows: AsyncIterable<Row>, look: (row: Row) => void) {
    let sum = 0
    const passed = async function* () {
      for await (const row of rows) {
        sum += 1
        look(row)
        yield row
      }
    }
    return { rows: passed(), sum: () => sum }
  }

  add(path: string, text: AsyncIterable<string>, rowsOf: () => number | null): void {
    this.zip.addReadStreamLazy(path, this.options, (give) => {
      const hash = createHash('sha256')
      let bytes = 0
      const measured = async function* () {
        for await (const part of text) {
          const chunk = Buffer.from(part, 'utf8')
          hash.update(chunk)
          bytes += chunk.length
          yield chunk
        }
      }
      const stream = Readable.from(measured(), { objectMode: false })
      stream.on('end', () => this.files.push({ path, rows: rowsOf(), bytes, sha256: hash.digest('hex') }))
      stream.on('error', (error) => this.out.destroy(error))
      give(null, stream)
    })
  }

  /** Adds a last file that says what the others came to. @returns the bytes of the zip */
  end(path: string, last: (files: ArchiveFile[]) => string): AsyncIterable<Buffer> {
    this.zip.addReadStreamLazy(path, this.options, (give) => give(null, Readable.from([last(this.files)])))
    this.zip.end()
    this.zip.outputStream.pipe(this.out)
    return this.out
  }
}

/** A JSON array with a row a line. */
async function* linesOf(rows: AsyncIterable<Row>): AsyncIterable<string> {
  let before = '[\n'
  for await (const row of rows) {
    yield before + JSON.stringify(row)
    before = ',\n'
  }
  yield before === '[\n' ? '[]\n' : '\n]\n'
}

/** What a spreadsheet can show of a table: its plain columns, empty where nothing is known. RFC 4180, UTF-8. */
async function* csvOf({ columns }: Table, rows: AsyncIterable<Row>): AsyncIterable<string> {
  const line = (cells: readonly unknown[]) => stringify([cells], { record_delimiter: 'windows' })
  yield line(columns.map(({ name }) => name))
  for await (const row of rows)
    yield line(columns.map(({ name }) => (typeof row[name] === 'string' ? csvText(row[name]) : row[name])))
}
