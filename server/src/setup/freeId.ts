const LONGEST = 50

/** An id of the letters of a name that nothing has or had. */
export async function freeId(
  name: string,
  fallback: string,
  isTaken: (id: string) => Promise<boolean>,
): Promise<string> {
  const letters = name
    .normalize('NFKD')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, LONGEST)
    .replace(/^-+|-+$/g, '')
  const base = letters || fallback
  for (let n = 1; ; n += 1) {
    const id = n === 1 ? base : `${base}-${n}`
    if (!(await isTaken(id))) return id
  }
}
