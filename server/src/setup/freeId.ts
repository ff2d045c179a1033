import { lettersOf } from 'core/ids/idOf'

/** An id of the letters of a name that nothing has or had. */
export async function freeId(
  name: string,
  fallback: string,
  isTaken: (id: string) => Promise<boolean>,
): Promise<string> {
  const base = lettersOf(name, fallback)
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? base : `${base}-${n}`
    if (!(await isTaken(id))) return id
  }
}
