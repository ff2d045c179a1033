import { ARCHIVE_VERSION, ArchiveManifest, type ArchiveFile } from 'contract/archive'
import { createHash } from 'node:crypto'
import type { Readable } from 'node:stream'
import { openPromise, type Entry, type ZipFile } from 'yauzl'
import { z } from 'zod'
import { Problem } from '../http/problems'
import { lackingSince } from './older'
import type { Row } from './rows'

const MIB = 1_048_576
const MOST_MANIFEST_BYTES = MIB
/** The largest line that is read: far more than a run with everything that was said in it. */
const MOST_LINE_CHARS = 4 * MIB
/** More than ten years of a kitchen, unpacked. */
const MOST_UNPACKED_BYTES = 8192 * MIB
const MOST_ENTRIES = 250

export type OpenArchive = {
  manifest: ArchiveManifest
  /** The lines of a table, each a row. @throws {Problem} archive-altered, archive-bomb */
  rowsOf: (tableName: string) => AsyncIterable<unknown>
  close: () => void
}

const SAID = {
  'archive-cut': 'the file ends too early or is no zip: download or copy it again',
  'archive-foreign': 'this is no kitchen of Okazu: take a file that "This kitchen as a file" in Setup has written',
  'archive-altered': 'the file is not as it was written: take one that nobody has changed',
  'archive-newer': 'a newer Okazu has written this: bring this one up to date first',
  'archive-older':
    'an older Okazu has written this: open it with that one, bring that up to date, and write the file again',
  'archive-bomb': 'the file says it holds far more than a kitchen: take one that Okazu has written',
} as const
/** What is wrong with an archive, and what to do. */
const fault = (code: keyof typeof SAID, what: string) =>
  new Problem(code, { detail: `${SAID[code]} (${what})`, values: { what } })

/**
 * Opens a zip and looks at all of it: that every file is there, that no other is, and that each comes to what the manifest
 * says. Only then anything of it is read in.
 * @param migrations those of this program, oldest first
 * @throws {Problem} archive-cut, -foreign, -altered, -newer, -older, -bomb
 */
export async function openArchive(path: string, migrations: readonly string[]): Promise<OpenArchive> {
  const zip = await openPromise(path, { lazyEntries: true, autoClose: false, validateEntrySizes: true }).catch(
    (error: unknown) => {
      throw fault('archive-cut', messageOf(error))
    },
  )
  try {
    const entries = await entriesOf(zip)
    const manifest = await readManifest(zip, entries, migrations)
    const lacking = lackingSince(manifest.schema, migrations)
    if (!lacking) throw fault('archive-older', manifest.schema)
    for (const file of manifest.files) await checkFile(zip, entries, file)
    const rowsOf = (tableName: string) => rowsIn(zip, entries.get(`tables/${tableName}.json`), lacking[tableName])
    return { manifest, rowsOf, close: () => zip.close() }
  } catch (error) {
    zip.close()
    throw error instanceof Problem ? error : fault('archive-cut', messageOf(error))
  }
}

async function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  if (zip.entryCount > MOST_ENTRIES) throw fault('archive-bomb', `${zip.entryCount} files`)
  const entries = new Map<string, Entry>()
  let unpacked = 0
  for await (const entry of zip.eachEntry()) {
    if (entries.has(entry.fileName)) throw fault('archive-altered', `${entry.fileName} twice`)
    unpacked += entry.uncompressedSize
    if (unpacked > MOST_UNPACKED_BYTES) throw fault('archive-bomb', `${Math.round(unpacked / MIB)} MiB`)
    entries.set(entry.fileName, entry)
  }
  return entries
}

async function readManifest(
  zip: ZipFile,
  entries: Map<string, Entry>,
  migrations: readonly string[],
): Promise<ArchiveManifest> {
  const entry = entries.get('manifest.json')
  if (!entry || entry.uncompressedSize > MOST_MANIFEST_BYTES) throw fault('archive-foreign', 'manifest.json')
  const raw = parsed(Buffer.concat(await chunksOf(await zip.openReadStreamPromise(entry))).toString('utf8'))
  const made = z.object({ format: z.literal('okazu-kitchen'), version: z.int(), schema: z.string() }).safeParse(raw)
  if (!made.success) throw fault('archive-foreign', 'manifest.json')
  const { version, schema } = made.data
  if (version > ARCHIVE_VERSION || schema > (migrations.at(-1) ?? '')) throw fault('archive-newer', schema)
  const manifest = ArchiveManifest.safeParse(raw)
  if (!manifest.success) throw fault('archive-altered', 'manifest.json')
  const listed = new Set(['manifest.json', ...manifest.data.files.map((file) => file.path)])
  const more = [...entries.keys()].find((name) => !listed.has(name))
  if (more !== undefined) throw fault('archive-altered', more)
  return manifest.data
}

async function checkFile(zip: ZipFile, entries: Map<string, Entry>, file: ArchiveFile): Promise<void> {
  const entry = entries.get(file.path)
  if (!entry || entry.uncompressedSize !== file.bytes) throw fault('archive-altered', file.path)
  const hash = createHash('sha256')
  const stream = await zip.openReadStreamPromise(entry).catch(() => {
    throw fault('archive-altered', file.path)
  })
  try {
    for await (const chunk of stream) hash.update(chunk as Buffer)
  } catch {
    throw fault('archive-altered', file.path)
  }
  if (hash.digest('hex') !== file.sha256) throw fault('archive-altered', file.path)
}

async function* rowsIn(zip: ZipFile, entry: Entry | undefined, lacking: Row = {}): AsyncIterable<unknown> {
  if (!entry) return
  for await (const line of linesOf(await zip.openReadStreamPromise(entry))) {
    const text = line.replace(/,$/, '')
    if (text === '[' || text === ']' || text === '[]' || text === '') continue
    const row = parsed(text)
    if (row === undefined) throw fault('archive-altered', entry.fileName)
    yield typeof row === 'object' ? { ...lacking, ...row } : row
  }
}

/** Lines of a text, none of them longer than is read. */
async function* linesOf(stream: Readable): AsyncIterable<string> {
  let rest = ''
  for await (const chunk of stream.setEncoding('utf8')) {
    const lines = (rest + String(chunk)).split('\n')
    rest = lines.pop() ?? ''
    if (rest.length > MOST_LINE_CHARS) throw fault('archive-bomb', 'a line')
    yield* lines
  }
  if (rest !== '') yield rest
}

async function chunksOf(stream: Readable): Promise<Buffer[]> {
  const chunks: Buffer[] = []
  for await (const chunk of stream) chunks.push(chunk as Buffer)
  return chunks
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}

const messageOf = (error: unknown) => (error instanceof Error ? error.message : String(error))
