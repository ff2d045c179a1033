import autocannon from 'autocannon'
import { report } from './report'
import { percentile } from './server'
import { asDevice, ask } from '../toolDevice'

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
    const times: number[] = []
    const result = await new Promise<autocannon.Result>((resolve, reject) => {
      const load = autocannon(
        { url: url + path, headers: asDevice(), connections: 4, overallRate: RATE_PER_S, duration: SECONDS },
        (error: Error | null, done) => (error ? reject(error) : resolve(done)),
      )
      load.on('response', (_client, status, _bytes, ms) => {
        if (status === 200) times.push(ms)
      })
    })
    const failed = result.non2xx + result.errors
    const shown = path.replace(/[0-9a-f-]{36}/, ':id').replace(/\d{13}_/, '')
    report(
      `${shown} (${count} past runs)`,
      `p95 ${percentile(times, 0.95).toFixed(1)} ms, ${times.length} ok, ${failed} failed`,
      'p95 <= 25 ms at 100/s',
    )
  }
}
