import { expose } from 'comlink'

/** Offers functions to the page that made this worker; imported into the page itself it does nothing. */
export function exposeWork(functions: object): void {
  if (typeof document === 'undefined') expose(functions)
}
