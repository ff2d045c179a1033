const NAMES = 'meta[name="workers"]'
type WorkerName = 'line' | 'live' | 'mise' | 'repair' | 'rice' | 'station' | 'wok'

/** Where the build put a worker. Its name has what is in it, so that it is another one whenever what it works out may be. */
export function workerPath(name: WorkerName): string | null {
  const named = document.querySelector<HTMLMetaElement>(NAMES)?.content
  return (JSON.parse(named ?? '{}') as Record<string, string>)[name] ?? null
}

/** Starts a worker of the app by its name: `wok` for `wok.worker.ts`. The build writes into the page where each of them lies. */
export function newWorker(name: WorkerName): Worker {
  const path = workerPath(name)
  if (path === null) throw new Error(`the page names no worker ${name}: build the app with npm start`)
  return new Worker(path)
}
