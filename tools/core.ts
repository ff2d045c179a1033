import { readFileSync } from 'node:fs'
import { z } from 'zod'
import { MODELS, runModel } from './models'

/** npm run -s core -- NAME < input.json > output.json (docs/core.md) */
const [name, flag] = process.argv.slice(2)

if (name === '--list') {
  console.log(Object.keys(MODELS).join('\n'))
  process.exit(0)
}
const model = name === undefined ? undefined : MODELS[name]
if (!model)
  refuse([
    `name: ${name === undefined ? 'missing' : `unknown model "${name}"`}: use one of ${Object.keys(MODELS).join(', ')}`,
  ])
if (flag === '--schema') {
  const schema = { input: z.toJSONSchema(model.input, { io: 'input' }), output: z.toJSONSchema(model.output) }
  console.log(JSON.stringify(schema, null, 2))
  process.exit(0)
}
const answer = runModel(model, readInput())
if (answer.kind === 'faults') refuse(answer.faults.map((fault) => `${fault.field}: ${fault.message}`))
console.log(JSON.stringify(answer.output))

function readInput(): unknown {
  try {
    return JSON.parse(readFileSync(0, 'utf8'))
  } catch (error) {
    return refuse([
      `input: not JSON (${error instanceof Error ? error.message : 'unreadable'}): send one object or an array of objects`,
    ])
  }
}

function refuse(lines: string[]): never {
  console.error(lines.join('\n'))
  process.exit(2)
}
