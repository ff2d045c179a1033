import { fireable } from './kitchen'
import { expect, test } from '@playwright/test'
import { Health } from 'contract/health'
import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** The start command itself, on a data folder whose path has a space. */
let folder = ''
let port = 0
let said = ''
let okazu: ChildProcess | null = null

test.describe.configure({ mode: 'serial' })
test.beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'okazu data-'))
  port = await freePort()
})
test.afterAll(async () => {
  if (okazu) await end('SIGTERM')
  rmSync(folder, { recursive: true, force: true })
})

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1')
  await once(server, 'listening')
  const { port: free } = server.address() as AddressInfo
  server.close()
  await once(server, 'close')
  return free
}

async function start(): Promise<ChildProcess> {
  said = ''
  const child = spawn('bash', ['tools/start.sh'], {
    env: { ...process.env, OKAZU_DATA: folder, OKAZU_PORT: String(port) },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  child.stdout.on('data', (text) => (said += String(text)))
  child.stderr.on('data', (text) => (said += String(text)))
  await expect.poll(() => said, { timeout: 90_000 }).toContain(`ready at http://127.0.0.1:${port}`)
  return child
}

const pidOf = (name: string) => Number(readFileSync(join(folder, name), 'utf8'))
const isAlive = (pid: number) => {
  try {
    process.kill(pid, 0)
    return true
  } catch {
    return false
  }
}
/** What fails there, by name; null where nobody answers. */
async function failing(): Promise<string[] | null> {
  const answer = await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => null)
  if (!answer) return null
  const { checks } = Health.parse(await answer.json())
  return Object.entries(checks).flatMap(([name, check]) => (check.status === 'fail' ? [name] : []))
}
async function end(...signals: NodeJS.Signals[]): Promise<void> {
  const pids = [pidOf('server.pid'), pidOf('db.pid')]
  const gone = once(okazu!, 'exit')
  for (const signal of signals) {
    okazu!.kill(signal)
    await new Promise((resolve) => setTimeout(resolve, 60))
  }
  await gone
  okazu = null
  expect(pids.filter(isAlive)).toEqual([])
}

test('what dies is started again, and an open screen comes back by itself', async ({ page }) => {
  okazu = await start()
  // The code and the PINs of the sample kitchen are what the start printed.
  await page.goto(/http:\S+\/pair\?code=\S+/.exec(said)![0])
  await page.getByLabel('Name of this device').fill('Ring A')
  await page.getByRole('button', { name: 'Let it in' }).click()
  await expect(page.getByRole('button', { name: /cook signs in to fire/ }).first()).toBeVisible()
  const pin = /Bram, cook: (\d+)/.exec(said)![1]!
  const signedIn = await page.request.post(`http://127.0.0.1:${port}/api/me/sign-in`, {
    data: { staffId: 'bram', pin },
  })
  expect(signedIn.status()).toBe(200)
  await page.goto(`http://127.0.0.1:${port}/line`)
  await fireable(page)
  for (const file of ['server.pid', 'db.pid']) {
    const before = pidOf(file)
    process.kill(before, 'SIGKILL')
    await expect.poll(() => (pidOf(file) === before ? null : failing()), { timeout: 20_000 }).toEqual([])
  }
  expect(said).toMatch(/the server ended by itself: it is started again/)
  expect(said).toMatch(/the database ended by itself: it is started again/)
  await page
    .getByRole('button', { name: /^Fire / })
    .last()
    .click()
  await page.waitForURL(/\/wok\/[0-9a-f-]{36}/)
  await expect
    .poll(() => page.request.get(`http://127.0.0.1:${port}/api/runs`).then((one) => one.text()))
    .toContain('"open"')
})

test('a person reaches the database on 127.0.0.1 with the password in the data folder, and with no other', () => {
  const file = join(folder, 'database.cnf')
  expect(statSync(file).mode & 0o777).toBe(0o600)
  const query = (...how: string[]) =>
    execFileSync('mariadb', [...how, '--batch', '--skip-column-names', '-e', 'SELECT COUNT(*) FROM kitchen'], {
      encoding: 'utf8',
      stdio: 'pipe',
    }).trim()
  expect(query(`--defaults-file=${file}`)).toBe('1')
  const databasePort = /^port=(\d+)$/m.exec(readFileSync(file, 'utf8'))![1]!
  const elsewhere = ['--no-defaults', '--host=127.0.0.1', `--port=${databasePort}`]
  for (const user of ['root', 'okazu', '']) expect(() => query(...elsewhere, `--user=${user}`)).toThrow(/Access denied/)
})

test('a third end within a minute stops everything and says why', async () => {
  const database = pidOf('db.pid')
  const gone = once(okazu!, 'exit')
  process.kill(pidOf('server.pid'), 'SIGKILL')
  expect(await gone).toEqual([1, null])
  okazu = null
  expect(said).toMatch(/the server ended three times within a minute: see the lines above/)
  expect(isAlive(database)).toBe(false)
})

for (const signals of [['SIGINT'], ['SIGINT', 'SIGINT'], ['SIGTERM'], ['SIGHUP', 'SIGINT']] as const)
  test(`${signals.join(' and ')} ends everything`, async () => {
    okazu = await start()
    await end(...signals)
  })
