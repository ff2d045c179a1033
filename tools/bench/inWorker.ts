import { chromium } from '@playwright/test'
import { build } from 'esbuild'
import { LAUNCH } from '../../e2e/launch'
import { spread } from './deriving'
import { report } from './report'
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
  const { fiveMinutesMs, statedMs, freeMs } = await page.evaluate(
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
}
