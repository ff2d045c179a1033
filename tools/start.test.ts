import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { createServer, type AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** The start script up to its first obstacle: every refusal is one clear sentence that says what to do. */
const start = (env: Record<string, string>, ...args: string[]) => {
  const { status, stderr, stdout } = spawnSync('bash', ['tools/start.sh', ...args], {
    cwd: `${__dirname}/..`,
    encoding: 'utf8',
    env: { ...process.env, ...env },
  })
  return { status, said: `${stdout}${stderr}`.trim() }
}
let folder = ''
beforeEach(() => void (folder = mkdtempSync(join(tmpdir(), 'okazu-start-'))))
afterEach(() => rmSync(folder, { recursive: true }))

test('a port that is taken', async () => {
  const server = createServer()
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  const { port } = server.address() as AddressInfo
  expect(start({ OKAZU_PORT: String(port), OKAZU_DATA: folder })).toEqual({
    status: 1,
    said: `Okazu: port ${port} is taken by another program: set OKAZU_PORT to a free one, as in OKAZU_PORT=8426 npm start`,
  })
  await new Promise((resolve) => server.close(resolve))
})

test('a port that is none, an option that is none', () => {
  expect(start({ OKAZU_PORT: 'lunch' })).toMatchObject({
    status: 1,
    said: expect.stringMatching(/give a port number from 1 to 65535/),
  })
  expect(start({}, '--faster')).toMatchObject({
    status: 1,
    said: expect.stringMatching(/unknown option --faster: use npm start/),
  })
})

test('a folder that cannot be written', () => {
  const file = join(folder, 'file')
  writeFileSync(file, '')
  expect(start({ OKAZU_DATA: join(file, 'data') })).toMatchObject({
    status: 1,
    said: expect.stringMatching(/cannot write to .*: set OKAZU_DATA/),
  })
})

test('a folder that another Okazu has', () => {
  const holder = spawnSync(
    'bash',
    ['-c', `exec 9>${folder}/lock; flock 9; OKAZU_DATA=${folder} bash tools/start.sh 2>&1`],
    {
      cwd: `${__dirname}/..`,
      encoding: 'utf8',
    },
  )
  expect(holder.stdout.trim()).toMatch(/another Okazu runs on .*: stop it, or set OKAZU_DATA to another folder/)
})

const library = (script: string, env: Record<string, string> = {}) => {
  const { status, stderr, stdout } = spawnSync('bash', ['-c', `. tools/lib.sh; ${script}`], {
    cwd: `${__dirname}/..`,
    encoding: 'utf8',
    env: { ...process.env, ...env },
  })
  return { status, said: `${stdout}${stderr}`.trim() }
}

test('a disk that is full, a package that nobody may install, a lock that is held', () => {
  expect(library('need_disk / 99999999')).toMatchObject({
    status: 1,
    said: expect.stringMatching(/MiB left and 99999999 are needed: free some space/),
  })
  expect(
    library('id() { echo 1000; }; sudo() { return 1; }; need_packages no-such-command=no-such-package'),
  ).toMatchObject({
    status: 1,
    said: expect.stringMatching(/installing it needs root: run 'apt-get install no-such-package' as root once/),
  })
  const locked =
    'apt-get() { echo "E: Could not get lock /var/lib/dpkg/lock-frontend" >&2; return 100; }; export -f apt-get'
  expect(
    library(`${locked}; id() { echo 0; }; env() { shift 2; "$@"; }; need_packages no-such-command=no-such-package`),
  ).toMatchObject({
    status: 1,
    said: expect.stringMatching(/holds the package system's lock: wait for it to end/),
  })
})
