import { OpenAPIHono } from '@hono/zod-openapi'
import { ProblemDetails } from 'contract/problem'
import { HTTPException } from 'hono/http-exception'
import { secureHeaders } from 'hono/secure-headers'
import type { Logger } from 'pino'
import { archiveRoutes } from './archive/archive.route'
import { dishRoutes } from './book/dishes.route'
import { fileRoutes } from './book/files/files.route'
import { ingredientRoutes } from './book/ingredient/ingredients.route'
import { recipeRoutes } from './book/recipe/recipes.route'
import { sketchRoutes } from './book/sketches.route'
import { styleRoutes } from './book/styles.route'
import { feedRoutes } from './device/feed/feed.route'
import { probeRoutes } from './device/probe/probe.route'
import { instrumentRoutes } from './device/instruments.route'
import { scaleRoutes } from './device/scale/scale.route'
import { surfaceRoutes } from './device/surface/surface.route'
import { lineRoutes } from './line/line.route'
import { ticketRoutes } from './line/tickets.route'
import type { Followers } from './live/follower'
import { liveRoutes } from './live/live.route'
import { miseFileRoutes } from './mise/files/files.route'
import { miseRoutes } from './mise/mise.route'
import { auditRoutes } from './people/audit.route'
import { deviceRoutes } from './people/devices.route'
import { doorRoutes } from './people/door.route'
import { peopleRoutes } from './people/people.route'
import { RecentSessions } from './people/recentSessions'
import { complaintRoutes } from './record/complaints.route'
import { recordRoutes } from './record/record.route'
import { riceHouseRoutes } from './rice/house.route'
import { lotRoutes } from './rice/lots.route'
import { planRoutes } from './rice/plan/plan.route'
import { printRoutes } from './rice/print/print.route'
import { healthRoutes } from './setup/health.route'
import { houseRoutes } from './setup/house/house.route'
import { kitchenRoutes } from './setup/kitchen.route'
import { plateRoutes } from './setup/station/plates.route'
import { learnedRoutes } from './wok/learned.route'
import { runRoutes } from './wok/runs.route'
import { stationRoutes } from './wok/stations.route'
import { isPassing } from './db/pool'
import { checkBodies, limitBodies } from './http/bodies'
import type { KitchenContext, RequestEnv } from './http/context'
import { describeApi, type ApiDocument } from './http/describe'
import { onlyOwnPages } from './http/ownPages'
import { Problem } from './http/problems'
import { limitRequests } from './http/rateLimit'

/** SHA-256 of the empty text: the style element that the interface library fills through the object model. */
const EMPTY_STYLE_SHA256 = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='"

const HEADERS: Parameters<typeof secureHeaders>[0] = {
  contentSecurityPolicy: {
    defaultSrc: ["'none'"],
    scriptSrc: ["'self'"],
    workerSrc: ["'self'"],
    styleSrc: ["'self'", EMPTY_STYLE_SHA256],
    fontSrc: ["'self'"],
    imgSrc: ["'self'", 'data:'],
    connectSrc: ["'self'"],
    manifestSrc: ["'self'"],
    baseUri: ["'none'"],
    formAction: ["'none'"],
    frameAncestors: ["'none'"],
  },
  crossOriginEmbedderPolicy: false,
  strictTransportSecurity: false,
  referrerPolicy: 'no-referrer',
  permissionsPolicy: { camera: [], microphone: [], geolocation: [] },
}

const ROUTES = [
  healthRoutes,
  doorRoutes,
  deviceRoutes,
  auditRoutes,
  peopleRoutes,
  archiveRoutes,
  houseRoutes,
  kitchenRoutes,
  fileRoutes,
  dishRoutes,
  ingredientRoutes,
  recipeRoutes,
  sketchRoutes,
  styleRoutes,
  printRoutes,
  instrumentRoutes,
  scaleRoutes,
  surfaceRoutes,
  riceHouseRoutes,
  lotRoutes,
  planRoutes,
  probeRoutes,
  miseRoutes,
  miseFileRoutes,
  lineRoutes,
  ticketRoutes,
  runRoutes,
  stationRoutes,
  plateRoutes,
  learnedRoutes,
  recordRoutes,
  complaintRoutes,
  feedRoutes,
]

/** The whole API. `names` are those that the server goes by, beside those of this machine to itself. */
export function createApp(
  house: Omit<KitchenContext, 'changed'>,
  followers: Followers,
  log: Logger,
  names?: readonly string[],
): OpenAPIHono<RequestEnv> {
  const app = new OpenAPIHono<RequestEnv>()
  const sessions = new RecentSessions(house.pool)
  const kitchenOf = (kitchenId: string) => {
    const changed = () => {
      sessions.forget(kitchenId)
      followers.wake(kitchenId)
    }
    return { ...house, kitchenId, changed }
  }
  app.use('*', async (c, next) => {
    const startedMs = performance.now()
    await next()
    const ms = Math.round(performance.now() - startedMs)
    log.info({ method: c.req.method, path: c.req.path, status: c.res.status, ms }, 'request')
  })
  app.use('*', secureHeaders(HEADERS))
  app.use('*', onlyOwnPages(names))
  app.use('/api/*', limitRequests())
  app.use('/api/*', limitBodies())
  app.use('/api/*', checkBodies(app))
  app.use('/api/*', async (c, next) => {
    c.set('kitchen', kitchenOf(house.kitchenId))
    c.set('kitchenOf', kitchenOf)
    c.set('sessions', sessions)
    await next()
    c.res.headers.set('x-okazu-now', String(c.var.kitchen.now()))
    if (!c.res.headers.has('cache-control')) c.res.headers.set('cache-control', 'no-store')
  })
  for (const routes of ROUTES) app.route('/api', routes)
  app.route('/api', liveRoutes(followers))
  // A copy: a schema that was made before `@hono/zod-openapi` was loaded lacks the method that registering calls.
  app.openAPIRegistry.register('ProblemDetails', ProblemDetails.clone())
  let described: ApiDocument | null = null
  app.get('/api/openapi.json', (c) => c.json((described ??= describeApi(app))))
  app.notFound(() => {
    throw new Problem('not-found', {
      detail: 'nothing is served at this address: the API is described at /api/openapi.json',
    })
  })
  app.onError((error, c) => {
    const problem = asProblem(error)
    if (problem.status >= 500) log.error({ err: error, path: c.req.path }, 'failed')
    return c.body(JSON.stringify(problem), problem.status, { 'content-type': 'application/problem+json' })
  })
  return app
}

function asProblem(error: Error): Problem {
  if (error instanceof Problem) return error
  if (error instanceof HTTPException && error.status === 400) {
    return new Problem('bad-json', { detail: 'send the body as JSON (UTF-8), with content-type application/json' })
  }
  if (isPassing(error)) {
    return new Problem('database', { detail: 'what you sent was not saved: send it again in a moment' })
  }
  return new Problem('internal', {
    detail: 'nothing was saved: send it again; if it stays, look in the log of the server',
  })
}
