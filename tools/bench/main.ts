import { apiReads } from './apiReads'
import { bundleSize } from './bundleSize'
import { cookScreen } from './cookScreen'
import { liveDelay } from './liveDelay'
import { startBenchServer } from './server'

/** Every benchmark by name; each prints its figure beside its aim. */
const wanted = process.argv.slice(2)
const isWanted = (name: string) => wanted.length === 0 || wanted.includes(name)

if (['bundle', 'live', 'cook'].some(isWanted)) {
  const server = await startBenchServer(0)
  if (isWanted('bundle')) await bundleSize(server.url)
  if (isWanted('live')) await liveDelay(server.url)
  if (isWanted('cook')) await cookScreen(server.url)
  await server.stop()
}
if (isWanted('api')) {
  const server = await startBenchServer(0, 10_000)
  await apiReads(server.url)
  await server.stop()
}
