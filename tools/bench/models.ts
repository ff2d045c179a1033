import { writeFileSync } from 'node:fs'
import { linePlanner } from './line'
import { liveModels } from './live'
import { measuredRows } from './report'
import { sequenceEngine } from './sequence'
import { heatModel } from './wok'

/** Runs as one bundled file, as the server does: `node models.mjs FILE NAME ...` writes what it measured into the file. */
const [file = '', ...names] = process.argv.slice(2)
if (names.includes('line')) linePlanner()
if (names.includes('wok')) {
  heatModel()
  sequenceEngine()
}
if (names.includes('live')) liveModels()
writeFileSync(file, JSON.stringify(measuredRows()))
