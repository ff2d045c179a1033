import { OpenAPIHono } from '@hono/zod-openapi'
import { z } from 'zod'
import type { LabelPrinter } from '../device/devices'
import type { DrawPaper } from '../papers/papers'
import type { RecentSessions } from '../people/recentSessions'
import type { Session } from '../people/sessions.sql'
import type { HealthSource } from '../setup/health'
import { Problem } from './problems'

/** What a request works with: the database, the time, the kitchen it is about, and whom to tell of a change. */
export type KitchenContext = HealthSource & {
  kitchenId: string
  changed: () => void
  printer: LabelPrinter
  draw: DrawPaper
}

/** `session` is there wherever a route names who may ask (`onlyFor`). */
export type RequestEnv = {
  Variables: { kitchen: KitchenContext; session: Session; sessions: RecentSessions; kitchenOf: KitchenOf }
}
/** The same context for another kitchen of the database. */
export type KitchenOf = (kitchenId: string) => KitchenContext

/** A router whose failed validation is one problem with a fault a field. */
export function newRouter(): OpenAPIHono<RequestEnv> {
  return new OpenAPIHono<RequestEnv>({
    defaultHook: (result) => {
      if (!result.success) throw invalid(result.error)
    },
  })
}

export function invalid(error: z.ZodError): Problem {
  const faults = flatten(error.issues).slice(0, 20)
  const first = faults[0]
  return new Problem('invalid', {
    detail: first ? `${first.field || 'body'}: ${first.message}` : 'the request is not what this address takes',
    faults,
  })
}

function flatten(issues: readonly z.core.$ZodIssue[]): { field: string; message: string }[] {
  return issues.flatMap((issue) => {
    if (issue.code === 'invalid_union' && issue.errors.length > 0) {
      const closest = [...issue.errors].sort((a, b) => depth(b) - depth(a) || a.length - b.length)[0] ?? []
      return flatten(closest).map((one) => ({
        ...one,
        field: [issue.path.join('.'), one.field].filter(Boolean).join('.'),
      }))
    }
    return [{ field: issue.path.join('.'), message: issue.message }]
  })
}

const depth = (issues: readonly z.core.$ZodIssue[]) => Math.max(0, ...issues.map((issue) => issue.path.length))

export const json = <T extends z.ZodType>(schema: T, description: string) => ({
  content: { 'application/json': { schema } },
  description,
})

/** An answer that is a file to keep: text, a picture or a page, or JSON of another's vocabulary. */
export const file = (type: string, description: string) => ({
  200: { content: { [type]: { schema: type.endsWith('json') ? z.unknown() : z.string() } }, description },
})

export const jsonBody = <T extends z.ZodType>(schema: T) => ({
  required: true as const,
  content: { 'application/json': { schema } },
})
