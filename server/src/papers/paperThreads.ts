import Piscina from 'piscina'
import { Problem } from '../http/problems'
import type { AskedPaper, DrawPaper } from './papers'

/** One thread draws, so that the other processor stays with the line; it ends when nobody prints for a minute. */
const IDLE_MS = 60_000
const MAX_WAITING = 20
const MAX_DRAW_MS = 10_000

export type PaperThreads = { draw: DrawPaper; end: () => Promise<void> }

/**
 * Draws labels and sheets on a thread of its own, so that a long sheet holds up no ticket.
 * @param worker the built `paperWorker`
 */
export function paperThreads(worker: URL): PaperThreads {
  const pool = new Piscina({
    filename: worker.href,
    maxThreads: 1,
    minThreads: 0,
    idleTimeout: IDLE_MS,
    maxQueue: MAX_WAITING,
  })
  const draw: DrawPaper = async (name, ...values) => {
    if (pool.queueSize >= MAX_WAITING) throw busy()
    try {
      return (await pool.run({ name, values } satisfies AskedPaper, {
        signal: AbortSignal.timeout(MAX_DRAW_MS),
      })) as Uint8Array<ArrayBuffer>
    } catch (error) {
      if (error instanceof Error && error.name === 'AbortError') throw busy()
      throw error
    }
  }
  return { draw, end: () => pool.destroy() }
}

const busy = () => new Problem('printing', { detail: 'too much is being printed at once: ask again in a moment' })
