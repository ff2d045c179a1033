import type { Pool } from 'mysql2/promise'
import { apiReads } from './apiReads'
import { backupOfAYear } from './backup'
import { bookModels, editorTyping } from './book'
import { modelsInNode } from './bundled'
import { bundleSize } from './bundleSize'
import { catchUp } from './catchUp'
import { cookScreen } from './cookScreen'
import { heldUp } from './heldUp'
import { liveDelay } from './liveDelay'
import { countTaps, prepPlans } from './mise'
import { coolingModel, coolingScreen, riceReads } from './rice'
import { manyTickets } from './manyTickets'
import { report, writeFigures } from './report'
import { stageOpen } from './stageOpen'
import { rightsCost } from './rightsCost'
import { tapShown } from './tapShown'
import { startBenchServer } from './server'
import { lineScreen } from './lineScreen'
import { inWorker } from './inWorker'

/** More than 365 evenings of the sample kitchen, with their 5,000 lots. */
const YEAR_OF_RUNS = 34_000

/** Every benchmark by name; each prints its figure beside its aim. */
const wanted = process.argv.slice(2).filter((name) => name !== '--write')
const isWanted = (name: string) => wanted.length === 0 || wanted.includes(name)

if (['bundle', 'live', 'cook', 'stages'].some(isWanted)) {
  const server = await startBenchServer(0)
  if (isWanted('bundle')) await bundleSize(server.url)
  if (isWanted('live')) await liveDelay(server.url)
  if (isWanted('cook')) {
    await cookScreen(server.url)
    await tapShown(server.url)
  }
  if (isWanted('stages')) await stageOpen(server.url)
  await server.stop()
}
if (isWanted('api')) {
  const server = await startBenchServer(0, 10_000)
  await heldUp(server.url)
  await rightsCost(server.pool)
  await apiReads(server.url)
  await server.stop()
}
if (isWanted('tickets')) {
  const server = await startBenchServer(0)
  await catchUp(server.url, server.pool)
  await manyTickets(server.url)
  await server.stop()
}
if (isWanted('backup')) await backupOfAYear()
if (isWanted('book')) {
  bookModels()
  const server = await startBenchServer(0)
  await editorTyping(server.url)
  await server.stop()
}
if (isWanted('mise')) {
  prepPlans()
  const server = await startBenchServer(0)
  await countTaps(server.url)
  await server.stop()
}
if (isWanted('lineScreen')) {
  const server = await startBenchServer(0)
  await lineScreen(server.url)
  await server.stop()
}
await modelsInNode(['line', 'wok', 'live'].filter(isWanted))
if (isWanted('wok')) await inWorker()
if (isWanted('rice')) {
  coolingModel()
  const screen = await startBenchServer(1)
  await coolingScreen(screen.url)
  await screen.stop()
  const year = await startBenchServer(0, YEAR_OF_RUNS)
  report('lots and runs in the record', await counts(year.pool), '5,000 lots, a year')
  await riceReads(year.url)
  await year.stop()
}

if (process.argv.includes('--write')) writeFigures('docs/bench.md', new Date().toISOString().slice(0, 10))

async function counts(pool: Pool): Promise<string> {
  const [rows] = await pool.query('SELECT (SELECT COUNT(*) FROM rice_lot) AS lots, (SELECT COUNT(*) FROM run) AS runs')
  const [{ lots, runs } = { lots: 0, runs: 0 }] = rows as { lots: number; runs: number }[]
  return `${lots} lots, ${runs} runs`
}
