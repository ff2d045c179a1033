import { build } from 'esbuild'
import { execFileSync } from 'node:child_process'
import { mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { take, type Row } from './report'

/** The models in Node as the server runs them, as one file: a compiler that keeps every name makes their inner loops slower. */
export async function modelsInNode(names: readonly string[]): Promise<void> {
  if (names.length === 0) return
  // Below node_modules' folder, so that the packages that are not bundled are found.
  mkdirSync('.okazu-build', { recursive: true })
  const folder = mkdtempSync('.okazu-build/models-')
  try {
    const [script, answer] = [join(folder, 'models.mjs'), join(folder, 'measured.json')]
    const entryPoints = ['tools/bench/models.ts']
    await build({ entryPoints, bundle: true, outfile: script, platform: 'node', format: 'esm', packages: 'external' })
    execFileSync(process.execPath, [script, answer, ...names], { stdio: ['ignore', 'inherit', 'inherit'] })
    take(JSON.parse(readFileSync(answer, 'utf8')) as Row[])
  } finally {
    rmSync(folder, { recursive: true })
  }
}
