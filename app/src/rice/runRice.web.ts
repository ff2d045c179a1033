import type { RiceWork, RiceWorked } from './riceWork'

type Waiting = { resolve: (worked: never) => void; reject: (error: Error) => void }
type Answer = { id: number; worked?: unknown; fault?: string }

let worker: Worker | null = null
let lastId = 0
const waiting = new Map<number, Waiting>()

/** Works rice out off the interface thread: one worker for the page, answers by number. */
export function runRice<K extends RiceWork['kind']>(work: Extract<RiceWork, { kind: K }>): Promise<RiceWorked[K]> {
  worker ??= started()
  lastId += 1
  const id = lastId
  return new Promise((resolve, reject) => {
    waiting.set(id, { resolve, reject })
    worker?.postMessage({ id, work })
  })
}

function started(): Worker {
  const made = new Worker(new URL('./rice.worker.ts', import.meta.url))
  made.onmessage = ({ data }: MessageEvent<Answer>) => {
    const one = waiting.get(data.id)
    waiting.delete(data.id)
    if (data.fault === undefined) one?.resolve(data.worked as never)
    else one?.reject(new Error(data.fault))
  }
  made.onerror = (event) => {
    waiting.forEach((one) => one.reject(new Error(event.message)))
    waiting.clear()
    worker = null
  }
  return made
}
