import { readFileSync } from 'node:fs'
import { setTimeout as wait } from 'node:timers/promises'
import { v7 as newId } from 'uuid'
import { percentile } from '../bench/percentile'
import { Rig } from './rig'
import { ask as askKitchen } from '../toolDevice'

const [folder = '', ...numbers] = process.argv.slice(2)
const [minutes = 30] = numbers.map(Number)
const PER_SECOND = 50
const STREAMS = 50
const SETTLE_MS = Math.min(300_000, (minutes * 60_000) / 3)
const SAMPLE_MS = 5000
const SECOND_MS = 1000

/** A kitchen at its busiest, all the time: what screens ask, a ticket placed and cancelled each second, and open streams. */
const READS = [
  '/tickets',
  '/runs',
  '/stations',
  '/kitchen',
  '/rice/lots',
  '/rice/tonight',
  '/record/runs',
  '/mise/stock',
]
const rig = new Rig(folder)
await rig.start()
const controllers = Array.from({ length: STREAMS }, () => follow())
const tookMs: number[] = []
const memory: { atMs: number; mib: number }[] = []
let failed = 0
const startedMs = performance.now()
const endMs = startedMs + minutes * 60_000
let nextSampleMs = startedMs
for (let sent = 0; performance.now() < endMs; sent += 1) {
  if (performance.now() >= nextSampleMs) {
    memory.push({ atMs: performance.now() - startedMs, mib: residentMiB(rig.serverPid) })
    nextSampleMs += SAMPLE_MS
  }
  void ask(sent)
  const dueMs = startedMs + ((sent + 1) * SECOND_MS) / PER_SECOND
  await wait(Math.max(0, dueMs - performance.now()))
}
await wait(SECOND_MS)
controllers.forEach((one) => one.abort())
await rig.end()
const settled = memory.filter(({ atMs }) => atMs > SETTLE_MS)
const floors = floorsOf(settled)
const third = Math.ceil(floors.length / 3)
const median = (some: readonly number[]) => percentile([...some], 0.5)
const [early, late] = [median(floors.slice(0, third)), median(floors.slice(-third))]
console.log(`${minutes} min, ${PER_SECOND} requests/s, ${STREAMS} streams: ${tookMs.length} answered, ${failed} failed`)
console.log(`p50 ${Math.round(percentile(tookMs, 0.5))} ms, p99 ${Math.round(percentile(tookMs, 0.99))} ms`)
console.log(
  `memory kept after the first ${Math.round(SETTLE_MS / 60_000)} min: ${Math.round(early)} MiB, at the end ${Math.round(late)} MiB, most at once ${Math.round(Math.max(...settled.map(({ mib }) => mib)))} MiB`,
)
process.exit(failed === 0 && late <= early * 1.1 ? 0 : 1)

/**
 * What the collector leaves, minute by minute: the least that was seen in each. What lies between is waiting to be collected,
 * and says more of the collector's mood than of the server.
 */
function floorsOf(samples: readonly { atMs: number; mib: number }[]): number[] {
  const floors = new Map<number, number>()
  for (const { atMs, mib } of samples) {
    const minute = Math.floor(atMs / 60_000)
    floors.set(minute, Math.min(floors.get(minute) ?? Infinity, mib))
  }
  return [...floors.values()]
}

/** Memory of a process as the kernel counts it. */
function residentMiB(pid: number): number {
  return Number(/VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024
}

/** A screen that follows every change, and reads what it is sent. */
function follow(): AbortController {
  const controller = new AbortController()
  const read = async () => {
    const stream = await askKitchen(`${rig.url}/api/live`, { signal: controller.signal })
    for await (const part of stream.body ?? []) void part
  }
  read().catch(() => undefined)
  return controller
}

async function ask(no: number): Promise<void> {
  const beganMs = performance.now()
  try {
    const answers =
      no % PER_SECOND === 0 ? await placeAndCancel() : [await askKitchen(`${rig.url}/api${READS[no % READS.length]}`)]
    for (const answer of answers) await answer.arrayBuffer()
    const refused = answers.find(({ ok }) => !ok)
    if (refused) fail(`${refused.url} answered ${refused.status}`)
  } catch (error) {
    fail(String(error))
  }
  tookMs.push(performance.now() - beganMs)
}

/** Counts a failure; the first few are printed, so that somebody can look. */
function fail(why: string): void {
  failed += 1
  if (failed <= 5) console.log(why)
}

async function placeAndCancel(): Promise<Response[]> {
  const id = newId()
  const item = { id: newId(), dishId: 'plain', portions: 1 }
  const event = { id: newId(), kind: 'cancelled', atMs: Date.now(), counter: 1 }
  return [
    await post('/tickets', { id, promisedAtMs: Date.now() + 600_000, items: [item] }),
    await post(`/tickets/${id}/events`, { events: [event] }),
  ]
}

function post(path: string, body: unknown): Promise<Response> {
  return askKitchen(`${rig.url}/api${path}`, {
    method: 'POST',
    body: JSON.stringify(body),
    headers: { 'content-type': 'application/json' },
  })
}
