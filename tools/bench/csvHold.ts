import { monitorEventLoopDelay } from 'node:perf_hooks'
import { report } from './report'
import { ask } from '../toolDevice'

const MAX_BYTES = 1_040_000
const NS_PER_MS = 1e6
const FIRST_DAY = Date.UTC(2023, 0, 1)
const DAY_MS = 86_400_000
/** As many lines as the route takes at once. */
const MOST_PRICES = 5000

/** How long the server answers nobody else at most while a CSV of a megabyte is taken in; it runs in this process. */
export async function csvHold(url: string): Promise<void> {
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
  const delay = monitorEventLoopDelay({ resolution: 1 })
  delay.enable()
  const body = lines.join('\n')
  const answer = await ask(url + path, { method: 'POST', headers: { 'content-type': 'text/csv' }, body })
  delay.disable()
  if (!answer.ok) throw new Error(`${path} refused the file: ${(await answer.text()).slice(0, 200)}`)
  report(
    `a CSV of ${(body.length / 1e6).toFixed(1)} MB, ${lines.length - 1} lines, to ${path}`,
    `nobody else is answered for ${(delay.max / NS_PER_MS).toFixed(0)} ms at most`,
    'never over 50 ms',
  )
}
