import { execFileSync } from 'node:child_process'

/** Runs one of the outside checks beside this file with Debian's own Python and its libraries. */
export function runPython<T>(script: string, input: unknown = null): T {
  const text = execFileSync('/usr/bin/python3', [`${__dirname}/${script}`], {
    input: JSON.stringify(input),
    encoding: 'utf8',
    maxBuffer: 1e8,
  })
  return JSON.parse(text) as T
}
