import { ProblemDetails } from 'contract/problem'
import type { z } from 'zod'
import { noteServerTime } from './clock'
import { noteReachable } from './network'

/** The server refused: it says why. */
export class Refused extends Error {
  constructor(readonly problem: ProblemDetails) {
    super(problem.detail)
  }
}

/** The server did not answer: what was sent is still here. */
export class NoAnswer extends Error {}

/** The server answered that it failed on this: it may do so again, and what else is sent may pass. */
export class Failed extends NoAnswer {}

/** The kitchen does not know this device, or no longer: what was sent is still here, and goes once it is let in. */
export class NotLetIn extends NoAnswer {}

const outside = new Set<() => void>()
/** Tells when an answer says that this device is not let in. @returns stops telling */
export function onNotLetIn(listener: () => void): () => void {
  outside.add(listener)
  return () => outside.delete(listener)
}

const TIMEOUT_MS = 8000
/** The server wants us to wait: what was sent is sent again later. */
const TOO_MANY = 429

export function getJson<T extends z.ZodType>(path: string, schema: T, signal?: AbortSignal): Promise<z.infer<T>> {
  return request('GET', path, schema, undefined, signal)
}

export function sendJson<T extends z.ZodType>(
  method: 'POST' | 'PUT' | 'DELETE',
  path: string,
  body: unknown,
  schema: T,
  patienceMs = TIMEOUT_MS,
) {
  const sent = body === undefined ? undefined : { body: JSON.stringify(body), type: 'application/json' }
  return request(method, path, schema, sent, undefined, patienceMs)
}

export function sendFile<T extends z.ZodType>(
  path: string,
  body: ArrayBuffer,
  type: string,
  schema: T,
  method: 'POST' | 'PUT' = 'POST',
) {
  return request(method, path, schema, { body, type })
}

async function request<T extends z.ZodType>(
  method: string,
  path: string,
  schema: T,
  sent?: { body: BodyInit; type: string },
  signal?: AbortSignal,
  patienceMs = TIMEOUT_MS,
): Promise<z.infer<T>> {
  const response = await answer(method, path, patienceMs, sent, signal)
  if (response.ok) return schema.parse(await bodyOf(response))
  const problem = ProblemDetails.safeParse(await response.json().catch(() => null))
  if (!problem.success) throw new NoAnswer(`status ${response.status}`)
  const { status, detail, code } = problem.data
  if (code === 'not-paired') {
    if (path !== '/me') outside.forEach((listener) => listener())
    throw new NotLetIn(detail)
  }
  if (code === 'internal') throw new Failed(detail)
  if (status >= 500 || status === TOO_MANY) throw new NoAnswer(detail)
  throw new Refused(problem.data)
}

async function bodyOf(response: Response): Promise<unknown> {
  try {
    return await response.json()
  } catch {
    throw new NoAnswer('the answer was cut off')
  }
}

async function answer(
  method: string,
  path: string,
  patienceMs: number,
  sent?: { body: BodyInit; type: string },
  signal?: AbortSignal,
) {
  const timeout = new AbortController()
  const timer = setTimeout(() => timeout.abort(), patienceMs)
  const giveUp = () => timeout.abort()
  signal?.addEventListener('abort', giveUp)
  const sentMs = Date.now()
  try {
    const response = await fetch(`/api${path}`, {
      method,
      signal: timeout.signal,
      ...(sent && { body: sent.body, headers: { 'content-type': sent.type } }),
    })
    const serverNowMs = Number(response.headers.get('x-okazu-now') ?? Number.NaN)
    if (Number.isFinite(serverNowMs)) noteServerTime(serverNowMs, sentMs, Date.now())
    noteReachable(response.status < 500)
    return response
  } catch (error) {
    if (!signal?.aborted) noteReachable(false)
    throw new NoAnswer(error instanceof Error ? error.message : 'no answer')
  } finally {
    clearTimeout(timer)
    signal?.removeEventListener('abort', giveUp)
  }
}
