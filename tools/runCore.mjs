// Starts tools/core.ts from a bundle, made anew whenever a source is younger: a model answers within a second.
import { readdirSync, statSync } from 'node:fs'
import { join } from 'node:path'

const BUNDLE = 'server/dist/core.mjs'
const SOURCES = [
  'core/src',
  'contract/src',
  'tools',
  'server/src/book',
  'server/src/http',
  'server/src/demo',
  'server/src/serverFolder.ts',
  'package-lock.json',
]

const mtimeOf = (path) => {
  const stat = statSync(path)
  return stat.isDirectory() ? Math.max(...readdirSync(path).map((name) => mtimeOf(join(path, name)))) : stat.mtimeMs
}
const builtMs = statSync(BUNDLE, { throwIfNoEntry: false })?.mtimeMs ?? 0
if (builtMs < Math.max(...SOURCES.map(mtimeOf))) {
  const { buildSync } = await import('esbuild')
  buildSync({
    entryPoints: ['tools/core.ts'],
    bundle: true,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    outfile: BUNDLE,
    banner: { js: "import{createRequire as requireFrom}from'node:module';const require=requireFrom(import.meta.url);" },
  })
}
await import(new URL(`../${BUNDLE}`, import.meta.url).href)
