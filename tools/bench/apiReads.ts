import { report } from './report'
import { steadyReads } from './steadyReads'
import { ask } from '../toolDevice'

const RATE_PER_S = 100
const SECONDS = 10

/** What open screens read, at a steady rate, with a long record behind it. */
export async function apiReads(url: string): Promise<void> {
  const runs = (await (await ask(`${url}/api/record/runs`)).json()) as { runs: { id: string }[]; next: string }
  const count = (await (await ask(`${url}/api/record/runs.csv`)).text()).trim().split('\n').length - 1
  const paths = [
    '/api/tickets',
    '/api/runs',
    '/api/kitchen',
    '/api/dishes',
    '/api/record/runs',
    `/api/record/runs?before=${runs.next}`,
    `/api/runs/${runs.runs[0]?.id}`,
  ]
  for (const path of paths) {
    const { p95Ms, ok, failed } = await steadyReads(url + path, RATE_PER_S, SECONDS)
    const shown = path.replace(/[0-9a-f-]{36}/, ':id').replace(/\d{13}_/, '')
    report(
      `${shown} (over ${Math.floor(count / 1000)},000 past runs)`,
      `p95 ${p95Ms.toFixed(1)} ms, ${ok} ok, ${failed} failed`,
      'p95 <= 25 ms at 100/s',
    )
  }
}
