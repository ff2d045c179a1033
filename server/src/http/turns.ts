import { setImmediate } from 'node:timers/promises'

/** How long work may go on before whoever else waits has a turn [ms]. */
const TURN_MS = 4

/** Maps a long list and lets others have a turn between, so that it holds up no ticket. */
export async function mapInTurns<From, To>(list: readonly From[], to: (one: From, index: number) => To): Promise<To[]> {
  const done: To[] = []
  let sinceMs = performance.now()
  for (const [index, one] of list.entries()) {
    done.push(to(one, index))
    if (performance.now() - sinceMs < TURN_MS) continue
    await setImmediate()
    sinceMs = performance.now()
  }
  return done
}

/** A text in slices, with a turn for others before each. */
export async function* slicesInTurns(text: string, sliceChars: number): AsyncGenerator<string> {
  for (let at = 0; at < text.length; at += sliceChars) {
    await setImmediate()
    yield text.slice(at, at + sliceChars)
  }
}
