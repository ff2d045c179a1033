import type { z } from 'zod'

/** What is wrong with a body, by the path of each fault; nothing where it is taken. */
export function faultsOf(schema: z.ZodType, body: unknown): string[] {
  const { error } = schema.safeParse(body)
  return [...new Set((error?.issues ?? []).map((issue) => issue.path.join('.')))]
}

/** A body with one of its fields changed, by a path such as `policy.services.0.toMin`; `undefined` leaves the field out. */
export function changed<T>(body: T, path: string, value: unknown): T {
  const copy = JSON.parse(JSON.stringify(body)) as T
  const keys = path.split('.')
  const last = keys.pop()!
  const holder = keys.reduce<Record<string, unknown>>(
    (at, key) => at[key] as Record<string, unknown>,
    copy as Record<string, unknown>,
  )
  if (value === undefined) delete holder[last]
  else holder[last] = value
  return copy
}
