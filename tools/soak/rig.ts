import { execFileSync, spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { createServer, type AddressInfo } from 'node:net'
import { join } from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import mysql from 'mysql2/promise'
import { openPool } from '../../server/src/db/pool'
import { DEMO_KITCHEN_ID } from '../../server/src/demo/kitchen'
import { serverNodeFlags } from '../nodeFlags'
import { letToolIn } from '../toolDevice'

/** A server and a database of their own, which die as a power cut lets them die, and are started again. */
export class Rig {
  private server: ChildProcess | null = null
  private databasePid = 0
  private socketPath = ''
  private port = 0
  readonly recoveriesMs: number[] = []

  constructor(private readonly folder: string) {}

  get url(): string {
    return `http://127.0.0.1:${this.port}`
  }

  get serverPid(): number {
    return this.server?.pid ?? 0
  }

  async start(): Promise<void> {
    this.port = await freePort()
    this.startDatabase()
    this.startServer()
    await this.untilUp()
    const pool = openPool({ socketPath: this.socketPath, user: 'root', database: 'okazu' })
    await letToolIn(pool, DEMO_KITCHEN_ID, Date.now())
    await pool.end()
  }

  async killServer(): Promise<void> {
    await this.endServer()
    await this.again()
  }

  async killBoth(): Promise<void> {
    process.kill(this.databasePid, 'SIGKILL')
    await this.endServer()
    this.startDatabase()
    await this.again()
  }

  async query<T>(sql: string): Promise<T[]> {
    const connection = await mysql.createConnection({ socketPath: this.socketPath, user: 'root', database: 'okazu' })
    const [rows] = await connection.query(sql)
    await connection.end()
    return rows as T[]
  }

  async end(): Promise<void> {
    await this.endServer()
    process.kill(this.databasePid, 'SIGKILL')
  }

  private async again(): Promise<void> {
    const startedMs = performance.now()
    this.startServer()
    await this.untilUp()
    this.recoveriesMs.push(performance.now() - startedMs)
  }

  private startDatabase(): void {
    const said = execFileSync('bash', ['tools/soak-db.sh', this.folder], { encoding: 'utf8' }).trim().split(' ')
    this.databasePid = Number(said[0])
    this.socketPath = said[1] ?? ''
  }

  private startServer(): void {
    this.server = spawn('node', [...serverNodeFlags(), 'server/dist/main.mjs', this.folder], {
      env: {
        ...process.env,
        OKAZU_PORT: String(this.port),
        OKAZU_DATA: join(this.folder, 'data'),
        OKAZU_DB_SOCKET: this.socketPath,
        OKAZU_DB_USER: 'root',
        OKAZU_DEMO_EVENINGS: '0',
        OKAZU_LOG: 'error',
      },
      stdio: ['ignore', 'ignore', 'inherit'],
    })
  }

  private async endServer(): Promise<void> {
    const { server } = this
    if (!server || server.exitCode !== null) return
    const gone = once(server, 'exit')
    server.kill('SIGKILL')
    await gone
  }

  private async untilUp(): Promise<void> {
    for (let tries = 0; tries < 600; tries += 1) {
      const answer = await fetch(`${this.url}/api/health`).catch(() => null)
      if (answer?.ok) return
      await wait(50)
    }
    throw new Error('the server did not come back within half a minute')
  }
}

async function freePort(): Promise<number> {
  const server = createServer().listen(0, '127.0.0.1')
  await once(server, 'listening')
  const { port } = server.address() as AddressInfo
  server.close()
  await once(server, 'close')
  return port
}
