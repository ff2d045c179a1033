import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { brotliCompressSync, constants, gzipSync } from 'node:zlib'
import { generateSW } from 'workbox-build'

/** After the export: the worker that keeps the shell on the device, then a .br and .gz beside every text file. */
const DIST = 'app/dist'
const COMPRESSED = /\.(js|css|html|svg|webmanifest|json|txt)$/
const MIN_BYTES = 512

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
