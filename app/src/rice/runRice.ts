import { workRice, type RiceWork, type RiceWorked } from './riceWork'

/** Off the web there is no worker of this form: the work is done in process. */
export function runRice<K extends RiceWork['kind']>(work: Extract<RiceWork, { kind: K }>): Promise<RiceWorked[K]> {
  return Promise.resolve(workRice(work))
}
