import { execFileSync } from 'node:child_process'

/** Jest's global set-up: one MariaDB in memory for all tests; each test file makes a database of its own in it. */
export default function startTestDatabase(): void {
  const script = `${process.cwd()}/tools/test-db.sh`
  process.env['OKAZU_TEST_DB'] = execFileSync('bash', [script, 'start'], { encoding: 'utf8' }).trim()
}
