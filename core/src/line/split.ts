/**
 * Portions over batches: as few as the cap allows, as even as whole portions allow, smallest last.
 * @throws {RangeError} unless both are whole and positive
 */
export function splitPortions(portions: number, capPortions: number): number[] {
  if (!Number.isInteger(portions) || portions <= 0)
    throw new RangeError(`portions ${portions} is not a whole number above 0`)
  if (!Number.isInteger(capPortions) || capPortions <= 0)
    throw new RangeError(`cap ${capPortions} is not a whole number above 0`)
  const batches = Math.ceil(portions / capPortions)
  const least = Math.floor(portions / batches)
  const larger = portions - least * batches
  return Array.from({ length: batches }, (_, index) => (index < larger ? least + 1 : least))
}
