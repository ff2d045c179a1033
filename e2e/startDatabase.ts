import { execFileSync } from 'node:child_process'

/** One MariaDB in memory for the whole browser run; each test's kitchen is a database of its own in it. */
export default function startDatabase() {
  const database = execFileSync('bash', ['tools/test-db.sh', 'start'], { encoding: 'utf8' }).trim()
  process.env['OKAZU_TEST_DB'] = database
  return () => execFileSync('bash', ['tools/test-db.sh', 'stop', ...database.split(' ')])
}
