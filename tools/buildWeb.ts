import { build } from 'esbuild'
import { createHash } from 'node:crypto'
import { mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { basename, join } from 'node:path'
import { brotliCompressSync, constants, gzipSync } from 'node:zlib'
import { generateSW } from 'workbox-build'

/**
 * After the export: the workers, each as one file in one scope, since what Metro makes of them is a third larger and calls
 * every function of the models through its module; then the service worker that keeps the shell on the device, then a .br
 * and .gz beside every text file.
 */
const DIST = 'app/dist'
const COMPRESSED = /\.(js|css|html|svg|webmanifest|json|txt)$/
const MIN_BYTES = 512

await buildWorkers()
const { count, size, warnings } = await generateSW({
  globDirectory: DIST,
  globPatterns: ['index.html', 'shell.css', 'manifest.webmanifest', 'icon.svg', 'fonts/*.woff2', '_expo/static/**/*'],
  swDest: join(DIST, 'sw.js'),
  navigateFallback: '/index.html',
  navigateFallbackDenylist: [/^\/api\//],
  inlineWorkboxRuntime: true,
  clientsClaim: true,
  skipWaiting: true,
  sourcemap: false,
  dontCacheBustURLsMatching: /-[0-9a-f]{32}\./,
  maximumFileSizeToCacheInBytes: 6_000_000,
})
if (warnings.length > 0) console.warn(warnings.join('\n'))
console.log(`${count} files, ${Math.round(size / 1000)} kB kept for offline`)

async function buildWorkers(): Promise<void> {
  const entryPoints = filesIn('app/src').filter((file) => file.endsWith('.worker.ts'))
  const { outputFiles } = await build({
    entryPoints,
    bundle: true,
    minify: true,
    write: false,
    outdir: 'workers',
    format: 'iife',
    target: 'es2022',
  })
  const folder = '_expo/static/workers'
  mkdirSync(join(DIST, folder), { recursive: true })
  const paths = outputFiles.map(({ path, contents }): [string, string] => {
    const name = basename(path, '.worker.js')
    const file = `${folder}/${name}-${createHash('md5').update(contents).digest('hex')}.js`
    writeFileSync(join(DIST, file), contents)
    return [name, `/${file}`]
  })
  const page = join(DIST, 'index.html')
  const named = `<meta name="workers" content='${JSON.stringify(Object.fromEntries(paths))}' />`
  writeFileSync(page, readFileSync(page, 'utf8').replace('</head>', `${named}</head>`))
}

function filesIn(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name)
    return statSync(path).isDirectory() ? filesIn(path) : [path]
  })
}

for (const file of filesIn(DIST)) {
  const content = readFileSync(file)
  if (!COMPRESSED.test(file) || content.length < MIN_BYTES) continue
  writeFileSync(`${file}.gz`, gzipSync(content, { level: 9 }))
  writeFileSync(`${file}.br`, brotliCompressSync(content, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }))
}
