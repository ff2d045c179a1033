/** Which cook each time of work goes to: the first who is free when it begins. Never more cooks than the most at once. */
export function cooksFor(times: readonly { from: number; to: number }[]): number[] {
  const freeAt: number[] = []
  const cooks: number[] = times.map(() => 0)
  const inOrder = times.map((_, i) => i).sort((a, b) => times[a]!.from - times[b]!.from || a - b)
  for (const i of inOrder) {
    const { from, to } = times[i]!
    const free = freeAt.findIndex((at) => at <= from)
    const cook = free >= 0 ? free : freeAt.length
    freeAt[cook] = to
    cooks[i] = cook
  }
  return cooks
}
