import { readFileSync } from 'node:fs'

/** Flags of Node under which the server runs, wherever it is started: `tools/start.sh` reads the same file. */
export const serverNodeFlags = (): string[] =>
  readFileSync(new URL('server-node-flags', import.meta.url), 'utf8')
    .trim()
    .split(' ')
