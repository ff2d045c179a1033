import { writeFileSync } from 'node:fs'
import { lcg } from '../../server/src/demo/chance'
import { drawSamples } from './samples'
import { train } from './train'

/** npm run fit-quick: fits the seconds of moves to the model anew and writes them into core. Some eight minutes. */
const DISHES = Number(process.argv[2] ?? 5000)
const ROUNDS = Number(process.argv[3] ?? 40)
const samples = drawSamples(DISHES, lcg(99))
console.log(`${samples.length} moves of ${DISHES} dishes`)
const weights = train(samples, ROUNDS, lcg(4))
const perMille = Array.from(weights, (one) => Math.round(one * 1000))
const lines = Array.from(
  { length: Math.ceil(perMille.length / 24) },
  (_, n) => `  ${perMille.slice(n * 24, n * 24 + 24).join(', ')},`,
)
writeFileSync(
  new URL('../../core/src/wok/quick/weights.ts', import.meta.url),
  `// Written by npm run fit-quick: ${samples.length} moves of ${DISHES} dishes, ${ROUNDS} rounds.
/** Weights of the net in \`moveNet\`, in thousandths. */
// prettier-ignore
export const FITTED_PER_MILLE: readonly number[] = [
${lines.join('\n')}
]
`,
)
