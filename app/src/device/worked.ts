/** An answer that is worked out: it has not come yet, there is none, or it is here. "Not yet" is never read as "nothing". */
export type Worked<T> = { kind: 'working' } | { kind: 'none' } | { kind: 'value'; value: T }

export const WORKING: Worked<never> = { kind: 'working' }
export const NONE: Worked<never> = { kind: 'none' }

/** What a query answers as worked: without data and without a fault it is still at work. */
export function workedOf<T>(query: { data?: T | null | undefined; isError: boolean; isEnabled?: boolean }): Worked<T> {
  if (query.data !== undefined && query.data !== null) return { kind: 'value', value: query.data }
  if (query.data === null || query.isError || query.isEnabled === false) return NONE
  return WORKING
}

/** The value where there is one. */
export const valueOf = <T>(worked: Worked<T>): T | null => (worked.kind === 'value' ? worked.value : null)
