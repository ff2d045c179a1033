/** A number counted up to whole ones, never below none: what is whole but for rounding errors stays as it is. */
export const wholeUp = (value: number): number => Math.max(0, Math.ceil(value - 1e-9))
