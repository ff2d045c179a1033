import { Comparison } from '../../contract/src/faults'
import { RunPage } from '../../contract/src/run'
import { report } from './report'
import { ask } from '../toolDevice'

const MAX_BYTES = 1_040_000
const FIRST_DAY = Date.UTC(2023, 0, 1)
const DAY_MS = 86_400_000
/** As many lines as the route takes at once. */
const MOST_PRICES = 5000

/** How long somebody else waits at most for a short answer while the server does something long: takes in a CSV, compares an evening. */
export async function heldUp(url: string): Promise<void> {
  const demand = (n: number) => {
    const day = new Date(FIRST_DAY + Math.floor(n / 90) * DAY_MS).toISOString().slice(0, 10)
    const minute = String((n % 4) * 15).padStart(2, '0')
    return `${day},${11 + (Math.floor(n / 4) % 11)}:${minute},duck,${1 + (n % 5)}`
  }
  await hold(url, '/api/rice/demand', 'day,time,dish,portions', demand)
  const price = (n: number) => {
    const day = new Date(FIRST_DAY + (n % 900) * DAY_MS).toISOString().slice(0, 10)
    return `garlic,${day},bag ${Math.floor(n / 900)},1000,${(3 + (n % 100) / 100).toFixed(2)}`
  }
  await hold(url, '/api/ingredients/prices.csv', 'ingredient,fromDay,pack,packG,price', price, MOST_PRICES)
  await holdByEvening(url)
}

/** The busiest evening of the newest page of the record, beside runs of its dishes that went well. */
async function holdByEvening(url: string): Promise<void> {
  const record = RunPage.parse(await (await ask(`${url}/api/record/runs`)).json())
  const day = new Date(record.runs.at(-1)!.firedAtMs).toISOString().slice(0, 10)
  let runs = 0
  const longestMs = await longestWaitMs(url, async () => {
    const answer = await ask(`${url}/api/record/evenings/${day}/comparison`)
    runs = Comparison.parse(await answer.json()).runs.length
  })
  report(
    `an evening of ${runs} batches compared with those that went well`,
    `another is answered after ${longestMs.toFixed(0)} ms at most`,
    'nobody held over 50 ms at once; an answer takes several turns',
  )
}

/** Something small is asked over and over while the work goes on: the longest that it took. */
async function longestWaitMs(url: string, work: () => Promise<void>): Promise<number> {
  let isOver = false
  let longestMs = 0
  const others = (async () => {
    while (!isOver) {
      const askedMs = performance.now()
      await (await ask(`${url}/api/feed`)).text()
      longestMs = Math.max(longestMs, performance.now() - askedMs)
    }
  })()
  await work()
  isOver = true
  await others
  return longestMs
}

async function hold(
  url: string,
  path: string,
  heading: string,
  lineOf: (n: number) => string,
  most = Number.POSITIVE_INFINITY,
): Promise<void> {
  const lines = [heading]
  for (let bytes = heading.length, n = 0; bytes < MAX_BYTES && n < most; n += 1) {
    const line = lineOf(n)
    bytes += line.length + 1
    if (bytes < MAX_BYTES) lines.push(line)
  }
  const body = lines.join('\n')
  const longestMs = await longestWaitMs(url, async () => {
    const answer = await ask(url + path, { method: 'POST', headers: { 'content-type': 'text/csv' }, body })
    if (!answer.ok) throw new Error(`${path} refused the file: ${(await answer.text()).slice(0, 200)}`)
  })
  report(
    `a CSV of ${(body.length / 1e6).toFixed(1)} MB, ${lines.length - 1} lines, to ${path}`,
    `another is answered after ${longestMs.toFixed(0)} ms at most`,
    'nobody held over 50 ms at once; an answer takes several turns',
  )
}
