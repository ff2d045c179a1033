import { spawn } from 'node:child_process'
import { createWriteStream, mkdirSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import { createGzip } from 'node:zlib'
import type { DatabaseAddress } from './pool'

/**
 * A copy of a database as packed SQL, whole or not there at all; the path of it. Read it back with
 * `gunzip -c FILE | mariadb`. @throws {Error} where it could not be made, with what the tool said
 */
export async function copyData(address: DatabaseAddress, folder: string, name: string): Promise<string> {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const path = join(folder, `${name}.sql.gz`)
  const { user, password, database } = address
  const place =
    'socketPath' in address ? [`--socket=${address.socketPath}`] : [`--host=${address.host}`, `--port=${address.port}`]
  const dump = spawn(
    'mariadb-dump',
    ['--no-defaults', ...place, `--user=${user}`, '--single-transaction', '--databases', database],
    { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, MYSQL_PWD: password } },
  )
  let complaint = ''
  dump.stderr.on('data', (text) => (complaint += String(text)))
  const ended = new Promise<number | null>((resolve, reject) => {
    dump.on('error', reject)
    dump.on('close', resolve)
  })
  await pipeline(dump.stdout, createGzip(), createWriteStream(`${path}.part`, { mode: 0o600 }))
  if ((await ended) !== 0) {
    rmSync(`${path}.part`)
    throw new Error(`the data could not be copied to ${path}: ${complaint.trim()}`)
  }
  renameSync(`${path}.part`, path)
  return path
}
