import { OpenAPIHono } from '@hono/zod-openapi'
import type { RequestEnv } from './context'
import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { serveApp } from './static'

let folder = ''
let app: OpenAPIHono<RequestEnv>
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'okazu-web-'))
  mkdirSync(join(folder, '_expo/static/js'), { recursive: true })
  writeFileSync(join(folder, 'index.html'), '<p>shell</p>')
  writeFileSync(join(folder, '_expo/static/js/a.js'), 'let plain')
  writeFileSync(join(folder, '_expo/static/js/a.js.gz'), gzipSync('let packed'))
  app = new OpenAPIHono<RequestEnv>()
  app.get('/api/health', (c) => c.text('api'))
  serveApp(app, folder)
})
afterAll(() => rmSync(folder, { recursive: true }))

test('a path without a dot is a screen: the shell, asked for again each time', async () => {
  for (const path of ['/', '/line', '/wok/0190-abc']) {
    const answer = await app.request(path)
    expect([answer.status, await answer.text(), answer.headers.get('cache-control')]).toEqual([
      200,
      '<p>shell</p>',
      'no-cache',
    ])
  }
})

test('a hashed file is kept for good, and comes packed to who can unpack it', async () => {
  const packed = await app.request('/_expo/static/js/a.js', { headers: { 'accept-encoding': 'gzip' } })
  expect([packed.headers.get('content-encoding'), packed.headers.get('cache-control')]).toEqual([
    'gzip',
    'public, max-age=31536000, immutable',
  ])
  const plain = await app.request('/_expo/static/js/a.js')
  expect(await plain.text()).toBe('let plain')
})

test("the API is not the app's, and nothing outside the folder is served", async () => {
  expect(await (await app.request('/api/health')).text()).toBe('api')
  expect((await app.request('/api/none')).status).toBe(404)
  for (const path of ['/..%2f..%2fetc/passwd', '/../package.json', '/none.js'])
    expect((await app.request(path)).status).toBe(404)
})

test('without a built app the API is served alone', async () => {
  const bare = new OpenAPIHono<RequestEnv>()
  serveApp(bare, join(folder, 'none'))
  expect((await bare.request('/line')).status).toBe(404)
})
