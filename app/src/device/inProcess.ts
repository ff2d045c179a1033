import type { Remote } from 'comlink'
import type { InWorker } from './inWorker'

/** The same functions without a worker, for where there is none: off the web and in unit tests. */
export const inProcess =
  <Functions>(functions: Functions): InWorker<Functions> =>
  async (work) =>
    work(functions as Remote<Functions>)
