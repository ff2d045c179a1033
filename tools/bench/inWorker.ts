import { chromium } from '@playwright/test'
import { build } from 'esbuild'
import { LAUNCH } from '../../e2e/launch'
import { spread } from './deriving'
import { report } from './report'
import { TABLE, type SpeedAndError } from './roughTimes'
import type { InWorker } from './wokInWorker'

/** The heat model and the sequence in a worker of a browser, where the screens ask them. */
export async function inWorker(): Promise<void> {
  const { outputFiles } = await build({
    entryPoints: ['tools/bench/wokInWorker.ts'],
    bundle: true,
    write: false,
    minify: true,
    format: 'iife',
    target: 'es2022',
  })
  const browser = await chromium.launch(LAUNCH)
  const page = await browser.newPage()
  const { fiveMinutesMs, statedMs, freeMs, fitted, table } = await page.evaluate(
    (code) =>
      new Promise<InWorker>((resolve, reject) => {
        const worker = new Worker(URL.createObjectURL(new Blob([code], { type: 'text/javascript' })))
        worker.onmessage = ({ data }) => resolve(data as InWorker)
        worker.onerror = ({ message }) => reject(new Error(message))
      }),
    outputFiles[0]!.text,
  )
  await browser.close()
  report('a run of 300 s, 8 components, in the worker', `median ${fiveMinutesMs.toFixed(2)} ms`, '<= 5 ms')
  report('a score derived in the worker, schools stated', spread(statedMs), '<= 50 ms p95')
  report('a score derived in the worker, schools free', spread(freeMs), '<= 140 ms p95')
  report(
    'a whole dish by fitted moves in the worker, read and its way known',
    `${(1000 / fitted.ms).toFixed(0)} a second, ${offBy(fitted)}; read in ${(fitted.readMs * 1000).toFixed(0)} µs`,
    '>= 20,000 a second, <= 4 %, 14 %',
  )
  const size = `${TABLE.dishes} dishes at ${TABLE.powersW.length} stations, up to ${TABLE.loads} portions, in the worker`
  report(`${size}: rough times`, `median ${table.ms.toFixed(0)} ms, ${offBy(table)}`, '<= 400 ms')
  report(`${size}: full times`, `${(table.fullMs / 1000).toFixed(1)} s`, 'none set')
}

const offBy = ({ medianError, p95Error }: SpeedAndError): string =>
  `error median ${medianError.toFixed(1)} %, p95 ${p95Error.toFixed(1)} %`
