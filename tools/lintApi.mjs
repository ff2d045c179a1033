// Reads an OpenAPI document and writes what the recommended rules of Redocly find in it, a line each.
import { createConfig, lintFromString } from '@redocly/openapi-core'
import { text } from 'node:stream/consumers'

const config = await createConfig({ extends: ['recommended'] })
const problems = await lintFromString({ source: await text(process.stdin), config })
for (const { ruleId, message, location } of problems) console.log(`${ruleId}: ${message} ${location[0]?.pointer ?? ''}`)
