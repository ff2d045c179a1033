import { serveStatic } from '@hono/node-server/serve-static'
import type { OpenAPIHono } from '@hono/zod-openapi'
import type { RequestEnv } from './context'
import type { Context, Env } from 'hono'
import { existsSync } from 'node:fs'
import { join } from 'node:path'

/** The built web app: hashed files for good, everything else asked for again; a path without a dot is a screen. */
export function serveApp(app: OpenAPIHono<RequestEnv>, folder: string): void {
  if (!existsSync(join(folder, 'index.html'))) return
  const files = serveStatic({
    root: folder,
    precompressed: true,
    rewriteRequestPath: (path) => (path.includes('.') ? path : '/index.html'),
  })
  app.use('*', async (c: Context<Env, string>, next) => {
    if (c.req.path.startsWith('/api/')) return next()
    const isHashed = c.req.path.startsWith('/_expo/static/') || c.req.path.startsWith('/assets/')
    c.header('cache-control', isHashed ? 'public, max-age=31536000, immutable' : 'no-cache')
    return files(c, next)
  })
}
