import type { OpenAPIHono } from '@hono/zod-openapi'
import type { Context, MiddlewareHandler } from 'hono'
import { bodyLimit } from 'hono/body-limit'
import type { RequestEnv } from './context'
import { Problem } from './problems'

const MIB = 1_048_576
/** The whole book as one file is the largest JSON there is; a CSV has one thing a line and no need of as much. */
const MAX_BODY_BYTES = 4 * MIB
const MAX_CSV_BYTES = MIB
/** Deeper than anything a kitchen sends: a body that is only brackets is refused before it is parsed. */
const MAX_DEPTH = 32

/** How large a body may be, by its type. @throws {Problem} too-large */
export function limitBodies(): MiddlewareHandler<RequestEnv> {
  const limit = (maxSize: number) =>
    bodyLimit({
      maxSize,
      onError: () => {
        throw new Problem('too-large', {
          detail: `a body of this type may hold ${maxSize / MIB} MiB: send it in parts`,
        })
      },
    })
  const [most, csv] = [limit(MAX_BODY_BYTES), limit(MAX_CSV_BYTES)]
  return (c, next) => (typeOf(c) === 'text/csv' ? csv(c, next) : most(c, next))
}

/** The type of a body without its parameters: "text/csv" of "Text/CSV; charset=utf-8". */
const typeOf = (c: Context): string => (c.req.header('content-type') ?? '').split(';')[0]!.trim().toLowerCase()

/**
 * Takes only the types that a route names in the OpenAPI document, so that a form or a plain-text post of another page
 * writes nothing; JSON is looked at for its depth before it is parsed.
 * @throws {Problem} wrong-type naming the right one, bad-json
 */
export function checkBodies(app: OpenAPIHono<RequestEnv>): MiddlewareHandler<RequestEnv> {
  let known: RouteBody[] | null = null
  return async (c, next) => {
    if (!hasBody(c)) return next()
    known ??= bodiesOf(app)
    const route = known.find((one) => one.method === c.req.method && one.path.test(c.req.path))
    const type = typeOf(c)
    if (route && !route.types.includes(type))
      throw new Problem('wrong-type', {
        detail: `${type || 'a body without a content-type'} is not taken here: send ${route.types.join(' or ')}`,
        values: { types: route.types.join(', ') },
      })
    if (type === 'application/json') checkJson(await c.req.text())
    return next()
  }
}

function hasBody(c: Context): boolean {
  if (c.req.method === 'GET' || c.req.method === 'HEAD') return false
  return (
    c.req.header('transfer-encoding') !== undefined ||
    (c.req.header('content-length') ?? '0') !== '0' ||
    c.req.raw.body !== null
  )
}

type RouteBody = { method: string; path: RegExp; types: string[] }

function bodiesOf(app: OpenAPIHono<RequestEnv>): RouteBody[] {
  return app.openAPIRegistry.definitions.flatMap((definition) => {
    if (definition.type !== 'route') return []
    const { method, path, request } = definition.route
    const types = Object.keys(request?.body?.content ?? {})
    const pattern = new RegExp(`^${path.replace(/\{\w+\}|:\w+/g, '[^/]+')}$`)
    return types.length === 0 ? [] : [{ method: method.toUpperCase(), path: pattern, types }]
  })
}

/** @throws {Problem} bad-json where it is too deep or not JSON, invalid where a text in it is no text */
function checkJson(text: string): void {
  if (isTooDeep(text))
    throw new Problem('bad-json', { detail: `JSON is taken ${MAX_DEPTH} levels deep, this is deeper` })
  if (!MAY_BE_ODD.test(text)) return
  const field = oddField(parsed(text), '')
  if (field === null) return
  throw new Problem('invalid', {
    detail: `${field}: holds a NUL or half of a character, which no keyboard writes: send it as UTF-8 text`,
    faults: [{ field, message: 'holds a NUL or half of a character' }],
  })
}

/** Only what is escaped in JSON can be a NUL or half of a character: UTF-8 has neither. */
const IS_ODD = /[\0\p{Cs}]/u
const MAY_BE_ODD = /\\u(?:0000|d[89a-f])/i

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new Problem('bad-json', { detail: 'send the body as JSON (UTF-8), with content-type application/json' })
  }
}

/** The path of the first text or key that holds a NUL or half of a character. */
function oddField(value: unknown, path: string): string | null {
  if (typeof value === 'string') return IS_ODD.test(value) ? path || 'body' : null
  if (typeof value !== 'object' || value === null) return null
  for (const [key, one] of Object.entries(value)) {
    const here = path === '' ? key : `${path}.${key}`
    if (oddField(key, here) !== null) return path || 'body'
    const found = oddField(one, here)
    if (found !== null) return found
  }
  return null
}

/** Whether brackets outside strings open deeper than is taken. */
function isTooDeep(text: string): boolean {
  let depth = 0
  let isInString = false
  for (let i = 0; i < text.length; i += 1) {
    const sign = text.charCodeAt(i)
    if (isInString) {
      if (sign === BACKSLASH) i += 1
      else if (sign === QUOTE) isInString = false
      continue
    }
    if (sign === QUOTE) isInString = true
    else if (sign === OPEN_BRACE || sign === OPEN_BRACKET) {
      depth += 1
      if (depth > MAX_DEPTH) return true
    } else if (sign === CLOSE_BRACE || sign === CLOSE_BRACKET) depth -= 1
  }
  return false
}
const [QUOTE, BACKSLASH] = [34, 92]
const [OPEN_BRACE, CLOSE_BRACE, OPEN_BRACKET, CLOSE_BRACKET] = [123, 125, 91, 93]
