import type { OpenAPIHono } from '@hono/zod-openapi'
import { z } from 'zod'
import type { Action } from 'core/people/roles'
import { SESSION_COOKIE } from '../people/onlyFor'
import type { RequestEnv } from './context'

type Content = Record<string, { schema: unknown }>
type Operation = {
  summary?: string
  operationId?: string
  security?: unknown[]
  'x-okazu-may'?: Action
  parameters?: unknown[]
  requestBody?: { content: Content }
  responses: Record<string, { description: string; content?: Content }>
}
export type ApiDocument = {
  openapi: string
  paths: Record<string, Record<string, Operation>>
  components?: { schemas?: Record<string, unknown>; securitySchemes?: Record<string, unknown> }
}

/** What any address may answer beside what its route says, and what it means. */
const ANYWHERE = {
  401: 'The device was not let in: pair it with a code',
  403: 'Whoever is signed in may not do this; or the server does not go by this name, or a page of another site asks',
  429: 'Too many requests from one address: wait and send it again',
  503: 'The database does not answer: nothing was saved, send it again in a moment',
} as const
const WITH_BODY = {
  400: 'The body is not JSON',
  413: 'The body is too large',
  415: 'A body of this type is not taken here; the detail names the right one',
} as const
const SAID_WRONG = { 422: 'Something in it is wrong: faults name the fields, the detail says what to do' } as const
const WITH_NAME = { 404: 'There is no such thing in this kitchen' } as const
const OF_CHANGES = { 409: 'It does not fit what the kitchen has: the code says why, the detail what to do' } as const

/**
 * The OpenAPI document of the routes, with what every route may answer. A summary is what its success answers with.
 * `x-okazu-may` names the row of the table of rights (docs/people.md) that an address stands under; without it, it is open.
 */
export function describeApi(app: OpenAPIHono<RequestEnv>): ApiDocument {
  const document = app.getOpenAPI31Document({
    openapi: '3.1.0',
    info: {
      title: 'Okazu',
      version: '0.1.0',
      description: 'Every refusal is application/problem+json (RFC 9457).',
      license: { name: 'As of the project', url: 'https://okazu.invalid/licence' },
    },
    servers: [{ url: '/', description: 'The server that this document is read from' }],
    security: [{ cookie: [] }, { token: [] }],
  }) as unknown as ApiDocument
  document.components = {
    ...document.components,
    securitySchemes: {
      cookie: { type: 'apiKey', in: 'cookie', name: SESSION_COOKIE },
      token: { type: 'http', scheme: 'bearer' },
    },
  }
  describeBodies(app, document)
  for (const [path, methods] of Object.entries(document.paths))
    for (const [method, operation] of Object.entries(methods)) complete(operation, method, path)
  return document
}

/** The schemas as Zod itself writes them: the generator takes a field that may be left out for one that may not. */
function describeBodies(app: OpenAPIHono<RequestEnv>, document: ApiDocument): void {
  for (const definition of app.openAPIRegistry.definitions) {
    if (definition.type !== 'route') continue
    const { path, method, request, responses } = definition.route
    const operation = document.paths[path.replace(/:(\w+)/g, '{$1}')]![method]!
    rewrite(request?.body?.content, operation.requestBody?.content, 'input')
    for (const [status, response] of Object.entries(responses)) {
      if ('content' in response) rewrite(response.content, operation.responses[status]?.content, 'output')
    }
  }
}

/** A record whose keys are known has them as properties, as its readers expect. */
function nameKeys({ jsonSchema }: { jsonSchema: z.core.JSONSchema.BaseSchema }): void {
  const { required, properties, additionalProperties } = jsonSchema
  if (!required || properties || typeof additionalProperties !== 'object') return
  jsonSchema.properties = Object.fromEntries(required.map((key) => [key, { ...additionalProperties }]))
}

function rewrite(from: object | undefined, to: Content | undefined, io: 'input' | 'output'): void {
  for (const [type, media] of Object.entries((from ?? {}) as Content)) {
    const { schema } = media
    if (!to || !(schema instanceof z.ZodType)) continue
    const { $schema: _dialect, ...written } = z.toJSONSchema(schema, { io, unrepresentable: 'any', override: nameKeys })
    to[type] = { schema: written }
  }
}

function complete(operation: Operation, method: string, path: string): void {
  const [, success] = Object.entries(operation.responses).find(([status]) => status.startsWith('2')) ?? []
  operation.summary ??= success?.description ?? path
  if (operation['x-okazu-may'] === undefined) operation.security ??= []
  operation.operationId ??= `${method}${path
    .replace('/api', '')
    .replace(/[{}]/g, '')
    .replace(/[/.-](\w)/g, (_, letter: string) => letter.toUpperCase())}`
  const isChange = method !== 'get'
  const mayBe = {
    ...ANYWHERE,
    ...(operation.requestBody !== undefined && WITH_BODY),
    ...((operation.requestBody !== undefined || operation.parameters !== undefined) && SAID_WRONG),
    ...((operation.requestBody !== undefined || operation.parameters !== undefined) && WITH_NAME),
    ...(isChange && OF_CHANGES),
  }
  for (const [status, description] of Object.entries(mayBe)) operation.responses[status] ??= problem(description)
}

const problem = (description: string) => ({
  description,
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/ProblemDetails' } } },
})
