import { setTimeout as wait } from 'node:timers/promises'
import type { ApiDocument } from '../server/src/http/describe'
import { OddRequests } from '../server/src/http/test/oddRequests'
import { percentile } from './bench/percentile'
import { startBenchServer } from './bench/server'
import { ask } from './toolDevice'

const [count = 20_000, seed = 1] = process.argv.slice(2).map(Number)
const SLOW_MS = 2000
const TOO_MANY = 429

const server = await startBenchServer(2)
const document = (await (await ask(`${server.url}/api/openapi.json`)).json()) as ApiDocument
const odd = new OddRequests(document, seed)
const statuses = new Map<number, number>()
const tookMs: number[] = []
let faults = 0

for (let sent = 0; sent < count;) {
  const { method, path, body, type } = odd.next()
  const startedMs = performance.now()
  const answer = await ask(server.url + path, {
    method,
    headers: type === '' ? {} : { 'content-type': type },
    ...(body !== null && { body }),
  })
  const text = await answer.text()
  if (answer.status === TOO_MANY) {
    await wait(1000)
    continue
  }
  sent += 1
  const ms = performance.now() - startedMs
  tookMs.push(ms)
  statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1)
  odd.learn(text)
  if (answer.status !== 500 && ms <= SLOW_MS && !/node_modules|\n\s+at /.test(text)) continue
  faults += 1
  console.log(
    `${answer.status} in ${Math.round(ms)} ms: ${method} ${path} ${type} ${body?.slice(0, 1000) ?? ''}\n  ${text.slice(0, 300)}`,
  )
}

const byStatus = [...statuses].sort(([a], [b]) => a - b).map(([status, n]) => `${n} × ${status}`)
console.log(`${count} requests (seed ${seed}): ${byStatus.join(', ')}`)
console.log(
  `p50 ${Math.round(percentile(tookMs, 0.5))} ms, p99 ${Math.round(percentile(tookMs, 0.99))} ms, most ${Math.round(Math.max(...tookMs))} ms`,
)
console.log(faults === 0 ? 'none failed, none took over 2 s' : `${faults} failed or took over 2 s`)
await server.stop()
process.exit(faults === 0 ? 0 : 1)
