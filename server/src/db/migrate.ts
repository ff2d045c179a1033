import { readdirSync, readFileSync } from 'node:fs'
import type { RowDataPacket } from 'mysql2'
import mysql from 'mysql2/promise'
import type { DatabaseAddress } from './pool'

const LOCK_WAIT_S = 60

/**
 * Brings the database up to the newest numbered migration, each once; several servers may start at the same moment.
 * @param folder of files `0001_name.sql`, statements ended by a semicolon at the end of a line
 */
export async function migrate(address: DatabaseAddress, folder: URL): Promise<string[]> {
  const connection = await mysql.createConnection({
    socketPath: address.socketPath,
    user: address.user,
    multipleStatements: true,
    charset: 'utf8mb4',
  })
  try {
    await connection.query(`CREATE DATABASE IF NOT EXISTS \`${address.database}\``)
    await connection.query(`USE \`${address.database}\``)
    await connection.query('SELECT GET_LOCK(?, ?)', [`migrate-${address.database}`, LOCK_WAIT_S])
    await connection.query('CREATE TABLE IF NOT EXISTS migration (name VARCHAR(120) NOT NULL PRIMARY KEY)')
    const [rows] = await connection.query<RowDataPacket[]>('SELECT name FROM migration')
    const done = new Set(rows.map((row) => String(row['name'])))
    const files = readdirSync(folder)
      .filter((name) => name.endsWith('.sql') && !done.has(name))
      .sort()
    for (const name of files) {
      await connection.query(readFileSync(new URL(name, folder), 'utf8'))
      await connection.execute('INSERT INTO migration (name) VALUES (?)', [name])
    }
    return files
  } finally {
    await connection.end()
  }
}
