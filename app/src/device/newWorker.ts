const NAMES = 'meta[name="workers"]'

/** Starts a worker of the app by its name: `wok` for `wok.worker.ts`. The build writes into the page where each of them lies. */
export function newWorker(name: 'line' | 'live' | 'mise' | 'repair' | 'rice' | 'station' | 'wok'): Worker {
  const paths = JSON.parse(document.querySelector<HTMLMetaElement>(NAMES)?.content ?? '{}') as Record<string, string>
  const path = paths[name]
  if (path === undefined) throw new Error(`the page names no worker ${name}: build the app with npm start`)
  return new Worker(path)
}
