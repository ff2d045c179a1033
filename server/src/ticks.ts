import type { Logger } from 'pino'

/** Something that the server does by itself, again and again; it answers how much it changed. */
export type RepeatedWork = { name: string; everyMs: number; work: () => Promise<number> }

/**
 * Does each work again and again; a turn is passed over while the one before is not done. A run that fails is logged, holds up no other work, and is tried
 * again at its next turn.
 * @param changed is told when a work changed something
 * @returns ends it all, once what is under way is done
 */
export function startTicks(works: readonly RepeatedWork[], changed: () => void, log: Logger): () => Promise<void> {
  const running = works.map(({ name, everyMs, work }) => {
    let under: Promise<void> | null = null
    const once = async () => {
      try {
        if ((await work()) > 0) changed()
      } catch (error) {
        log.warn({ err: error }, `${name} failed, trying again`)
      }
      under = null
    }
    const timer = setInterval(() => {
      under ??= once()
    }, everyMs)
    return { end: () => clearInterval(timer), under: () => under }
  })
  return async () => {
    for (const { end } of running) end()
    await Promise.all(running.map(async ({ under }) => under()))
  }
}
