import type { Repair } from '../../measure/plausible'

/** What can be doubtful about a line that was read. */
export const FLAG_CODES = [
  'no-amount',
  'unknown-ingredient',
  'no-density',
  'no-size',
  'not-in-system',
  'two-measures',
  'two-volumes',
  'wide-range',
  'reversed-range',
  'nothing',
  'count-and-mass',
  'heaped',
  'which-size',
] as const
/** A doubt about a line, in words and with its values. */
export type Flag = {
  code: (typeof FLAG_CODES)[number]
  message: string
  /** What the message says, for an interface with words of its own. */
  values: Readonly<Record<string, string | number>>
  repairs: Repair[]
}

/** A doubt with its code, message and values. */
export const flag = (code: Flag['code'], message: string, values: Flag['values'] = {}): Flag => ({
  code,
  message,
  values,
  repairs: [],
})
