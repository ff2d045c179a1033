/** The folder `server/`: the same from the sources and from the built server in `server/dist`. */
export const SERVER_FOLDER = new URL('../', import.meta.url)
/** The built worker that draws labels and sheets. */
export const PAPER_WORKER = new URL('dist/paperWorker.mjs', SERVER_FOLDER)
