import { lcg } from '../../demo/chance'
import type { ApiDocument } from '../describe'

export type OddRequest = { method: string; path: string; body: string | null; type: string }
type Schema = {
  type?: string | string[]
  const?: unknown
  enum?: unknown[]
  anyOf?: Schema[]
  oneOf?: Schema[]
  properties?: Record<string, Schema>
  required?: string[]
  items?: Schema
  minItems?: number
  maxItems?: number
  minimum?: number
  maximum?: number
  format?: string
  pattern?: string
  additionalProperties?: Schema | boolean
}
type Operation = {
  method: string
  path: string
  bodies: { type: string; schema: Schema }[]
  query: { name: string; schema: Schema }[]
}

const ODD_TEXTS = [
  '',
  ' ',
  '0',
  '../../etc/passwd',
  "'; DROP TABLE run;--",
  '<b>x</b>',
  '\u0000',
  '\ud800',
  '\u202e',
  '👩🏽‍🍳',
  'x'.repeat(5000),
  '%00',
  'null',
  'NaN',
]
const ODD_NUMBERS = [0, -1, 0.5, 1e308, -1e308, 2 ** 53, 1e-320, -0, 8.64e15]
const ODD_VALUES: readonly unknown[] = [null, true, [], {}, [[]], ...ODD_NUMBERS, ...ODD_TEXTS]
const ODD_BODIES = ['', '{', 'null', '[]', '"x"', '{"a":1}', '[[[[[[', '\u0000', `${'['.repeat(40)}${']'.repeat(40)}`]
const DEPTH = 8

/** Requests as nobody should send them, drawn from the OpenAPI document: the same seed draws the same ones. */
export class OddRequests {
  private readonly random: () => number
  private readonly operations: Operation[]
  /** Ids that stand in the kitchen's answers: so that requests meet what is there. */
  private readonly known: string[] = []

  constructor(document: ApiDocument, seed: number) {
    this.random = lcg(seed)
    // Whoever signs in or out is another device from then on.
    const paths = Object.entries(document.paths).filter(([path]) => !path.startsWith('/api/me'))
    this.operations = paths.flatMap(([path, methods]) =>
      Object.entries(methods).flatMap(([method, operation]) =>
        path === '/api/live' ? [] : [asked(path, method, operation)],
      ),
    )
  }

  /** Takes ids from an answer. */
  learn(text: string): void {
    for (const [, id = ''] of text.slice(0, 20_000).matchAll(/"(?:id|\w+Id)":"([^"]{1,64})"/g)) {
      if (this.known.length < 500) this.known.push(id)
      else this.known[Math.floor(this.random() * 500)] = id
    }
  }

  next(): OddRequest {
    const { method, path, bodies, query } = this.pick(this.operations)
    const to = path.replace(/\{\w+\}/g, () => inPath(this.likely(0.7) ? this.id() : this.text()))
    const asks = query.flatMap(({ name, schema }) =>
      this.likely(0.5) ? [`${name}=${inPath(String(this.value(schema, 0, 0.3)))}`] : [],
    )
    const full = `${to}${asks.length > 0 ? `?${asks.join('&')}` : ''}`
    const body = bodies.length === 0 ? null : this.pick(bodies)
    if (!body) return { method, path: full, body: null, type: '' }
    const type = this.likely(0.95) ? body.type : this.pick(['text/plain', 'application/json', 'text/csv', ''])
    return { method, path: full, body: this.bodyOf(body), type }
  }

  private bodyOf({ type, schema }: Operation['bodies'][number]): string {
    if (this.likely(0.08)) return this.pick(ODD_BODIES)
    if (!type.endsWith('json')) return [this.text(), this.text()].join(this.pick([',', '\n', '"', ';']))
    return JSON.stringify(this.value(schema, 0, this.pick([0, 0.02, 0.1, 0.3]))) ?? 'null'
  }

  /** A value of a schema, off from it here and there. */
  private value(schema: Schema, depth: number, oddity: number): unknown {
    if (depth > DEPTH || this.likely(oddity)) return this.pick(ODD_VALUES)
    if (schema.const !== undefined) return schema.const
    if (schema.enum) return this.pick(schema.enum)
    const choices = schema.anyOf ?? schema.oneOf
    if (choices) return this.value(this.pick(choices), depth, oddity)
    const type = Array.isArray(schema.type) ? this.pick(schema.type) : schema.type
    switch (type) {
      case 'object':
        return this.object(schema, depth, oddity)
      case 'array': {
        const count = (schema.minItems ?? 0) + Math.floor(this.random() * Math.min(3, (schema.maxItems ?? 9) + 1))
        return Array.from({ length: count }, () => this.value(schema.items ?? {}, depth + 1, oddity))
      }
      case 'integer':
      case 'number':
        return this.number(schema, type === 'integer')
      case 'boolean':
        return this.likely(0.5)
      case 'null':
        return null
      default:
        return this.likely(0.8) ? this.id() : this.text()
    }
  }

  private object({ properties = {}, required = [], additionalProperties }: Schema, depth: number, oddity: number) {
    const entries = Object.entries(properties)
      .filter(([key]) => (required.includes(key) ? !this.likely(oddity) : this.likely(0.5)))
      .map(([key, one]) => [key, this.value(one, depth + 1, oddity)] as const)
    const more =
      typeof additionalProperties === 'object' ? [[this.id(), this.value(additionalProperties, depth + 1, oddity)]] : []
    return Object.fromEntries([
      ...entries,
      ...more,
      ...(this.likely(oddity) ? [[this.text(), this.text()]] : []),
    ]) as unknown
  }

  private number({ minimum = -1000, maximum = 1e6 }: Schema, isInteger: boolean): number {
    if (minimum > 1e12) return Math.round(Date.now() - this.random() * 3_600_000)
    const drawn = minimum + this.random() ** 3 * (Math.min(maximum, minimum + 1e6) - minimum)
    return isInteger ? Math.round(drawn) : drawn
  }

  private id(): string {
    return this.known.length > 0 && this.likely(0.85) ? this.pick(this.known) : crypto.randomUUID()
  }

  private text(): string {
    return this.pick(ODD_TEXTS)
  }

  private likely(share: number): boolean {
    return this.random() < share
  }

  private pick<T>(all: readonly T[]): T {
    return all[Math.floor(this.random() * all.length)] as T
  }
}

/** A text as a part of an address; half of a character cannot stand there. */
const inPath = (text: string): string => encodeURIComponent(text.replace(/[\ud800-\udfff]/gu, ''))

function asked(path: string, method: string, operation: ApiDocument['paths'][string][string]): Operation {
  const bodies = Object.entries(operation.requestBody?.content ?? {}).map(([type, media]) => ({
    type,
    schema: media.schema as Schema,
  }))
  const query = ((operation.parameters ?? []) as { in: string; name: string; schema: Schema }[]).filter(
    (one) => one.in === 'query',
  )
  return { method: method.toUpperCase(), path, bodies, query }
}
