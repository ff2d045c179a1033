import { wrap, type Remote } from 'comlink'

/** Does work with a worker's functions; an aborted signal rejects it, and stops a worker nobody else waits for. */
export type InWorker<Functions> = <T>(
  work: (functions: Remote<Functions>) => Promise<T>,
  signal?: AbortSignal,
) => Promise<T>

/** A worker that is made at its first work, kept for the page, and made anew after a fault or a cancel. */
export function workerOf<Functions>(make: () => Worker): InWorker<Functions> {
  let open: { worker: Worker; functions: Remote<Functions> } | null = null
  const rejects = new Set<(error: Error) => void>()
  const close = () => {
    open?.worker.terminate()
    open = null
  }
  const start = () => {
    const worker = make()
    worker.onerror = (event) => {
      const waiting = [...rejects]
      close()
      waiting.forEach((reject) => reject(new Error(event.message || 'the worker stopped')))
    }
    return { worker, functions: wrap<Functions>(worker) }
  }
  return (work, signal) =>
    new Promise((resolve, reject) => {
      const settle = () => {
        rejects.delete(fail)
        signal?.removeEventListener('abort', cancel)
      }
      const fail = (error: Error) => {
        settle()
        reject(error)
      }
      const cancel = () => {
        fail(new DOMException('The work was cancelled', 'AbortError'))
        if (rejects.size === 0) close()
      }
      if (signal?.aborted) return reject(new DOMException('The work was cancelled', 'AbortError'))
      rejects.add(fail)
      signal?.addEventListener('abort', cancel)
      open ??= start()
      work(open.functions).then((worked) => {
        settle()
        resolve(worked)
      }, fail)
    })
}
