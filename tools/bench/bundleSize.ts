import { chromium } from '@playwright/test'
import { execFileSync } from 'node:child_process'
import { copyFileSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { LAUNCH } from '../../e2e/launch'
import { openAsDevice } from '../toolDevice'
import { report } from './report'

const EMPTY = '.okazu-build/empty-app'

/** JavaScript over the wire at the first load of the line, against an empty app of the same stack as Expo makes it, gzip. */
export async function bundleSize(url: string): Promise<void> {
  const ours = await firstLoadKB(url)
  const empty = emptyAppKB()
  report(
    'JavaScript at first load, gzip',
    `${ours.toFixed(0)} kB, empty app ${empty.toFixed(0)} kB: ${(ours / empty).toFixed(2)}x`,
    '<= 1.45x',
  )
}

/** Every script that the page asks for until it stands still, without the worker that fetches the rest for offline. */
async function firstLoadKB(url: string): Promise<number> {
  const browser = await chromium.launch(LAUNCH)
  const context = await browser.newContext({ serviceWorkers: 'block' })
  await openAsDevice(context)
  const page = await context.newPage()
  const scripts = new Set<string>()
  page.on('response', (response) => {
    if (response.request().resourceType() === 'script') scripts.add(new URL(response.url()).pathname)
  })
  await page.goto(`${url}/line`)
  await page.getByRole('button', { name: 'Add ticket' }).first().waitFor()
  await page.waitForTimeout(1000)
  await browser.close()
  return [...scripts].reduce((sum, path) => sum + gzippedBytes(join('app/dist', path)), 0) / 1000
}

const gzippedBytes = (file: string) => gzipSync(readFileSync(file), { level: 9 }).length

function emptyAppKB(): number {
  rmSync(EMPTY, { recursive: true, force: true })
  mkdirSync(join(EMPTY, 'src/app'), { recursive: true })
  mkdirSync(join(EMPTY, 'public'))
  for (const file of ['app.json', 'babel.config.js', 'tailwind.config.js', 'public/index.html', 'src/global.css'])
    copyFileSync(join('app', file), join(EMPTY, file))
  writeFileSync(join(EMPTY, 'metro.config.js'), EMPTY_CONFIG)
  const { dependencies } = JSON.parse(readFileSync('app/package.json', 'utf8')) as { dependencies: object }
  const main = 'expo-router/entry'
  writeFileSync(
    join(EMPTY, 'package.json'),
    JSON.stringify({ name: 'empty-app', version: '0.0.0', private: true, main, dependencies }),
  )
  writeFileSync(join(EMPTY, 'src/app/index.tsx'), EMPTY_SCREEN)
  execFileSync('npx', ['--no-install', 'expo', 'export', '--platform', 'web', '--output-dir', 'dist'], {
    cwd: EMPTY,
    env: { ...process.env, CI: '1', EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1' },
    stdio: 'ignore',
  })
  const scripts = filesIn(join(EMPTY, 'dist')).filter((file) => file.endsWith('.js'))
  return scripts.reduce((sum, file) => sum + gzippedBytes(file), 0) / 1000
}

function filesIn(folder: string): string[] {
  return readdirSync(folder).flatMap((name) =>
    statSync(join(folder, name)).isDirectory() ? filesIn(join(folder, name)) : [join(folder, name)],
  )
}

/** As Expo and NativeWind make an app: what ours leaves out of the bundle is in it. */
const EMPTY_CONFIG = `const config = require('expo/metro-config').getDefaultConfig(__dirname)
config.watchFolders = [${JSON.stringify(process.cwd())}]
module.exports = require('nativewind/metro').withNativeWind(config, { input: './src/global.css', inlineRem: 16 })
`

const EMPTY_SCREEN = `import '../global.css'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { Text, View } from 'react-native'
import Svg, { Rect } from 'react-native-svg'

const client = new QueryClient()

export default function Empty() {
  return (
    <QueryClientProvider client={client}>
      <View className="flex-1">
        <Text>Empty</Text>
        <Svg width={10} height={10}>
          <Rect width={10} height={10} />
        </Svg>
      </View>
    </QueryClientProvider>
  )
}
`
