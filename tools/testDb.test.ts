import { execFileSync } from 'node:child_process'
import { createConnection } from 'mysql2/promise'

const SCRIPT = `${__dirname}/test-db.sh`
const start = () => execFileSync('bash', [SCRIPT, 'start'], { encoding: 'utf8' }).trim().split(' ')

/** A MariaDB that starts removes the temporary tables that it finds in its tmpdir, as left behind by one that was killed. */
test('a database that is started takes nothing from one that runs', async () => {
  const first = start()
  const connection = await createConnection({ socketPath: first[2]!, user: 'root' })
  await connection.query('CREATE DATABASE busy')
  await connection.query('CREATE TEMPORARY TABLE busy.work (id INT) ENGINE=Aria')
  await connection.query('INSERT INTO busy.work VALUES (1), (2)')
  await connection.query('FLUSH TABLES')
  const second = start()
  try {
    const [rows] = await connection.query('SELECT COUNT(*) AS count FROM busy.work')
    expect(rows).toEqual([{ count: 2 }])
    await connection.query('DROP TEMPORARY TABLE busy.work')
  } finally {
    await connection.end()
    for (const one of [first, second]) execFileSync('bash', [SCRIPT, 'stop', ...one])
  }
}, 120_000)
