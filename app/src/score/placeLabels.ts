/** Pushes labels down where they would overlap, in order of where they belong [px]; none moves up. */
export function placeLabels<T extends { y: number; heightPx: number }>(
  labels: readonly T[],
  leastY: number,
): (T & { labelY: number })[] {
  let free = leastY
  return [...labels]
    .sort((a, b) => a.y - b.y)
    .map((label) => {
      const labelY = Math.max(free, label.y - 16)
      free = labelY + label.heightPx
      return { ...label, labelY }
    })
}
