import { execFileSync } from 'node:child_process'

export default function stopTestDatabase(): void {
  const words = (process.env['OKAZU_TEST_DB'] ?? '').split(' ')
  execFileSync('bash', [`${process.cwd()}/tools/test-db.sh`, 'stop', ...words])
}
