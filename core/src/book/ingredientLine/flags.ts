import type { Repair } from '../../measure/plausible'

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
export type Flag = {
  code: (typeof FLAG_CODES)[number]
  message: string
  /** What the message says, for an interface with words of its own. */
  values: Readonly<Record<string, string | number>>
  repairs: Repair[]
}

export const flag = (code: Flag['code'], message: string, values: Flag['values'] = {}): Flag => ({
  code,
  message,
  values,
  repairs: [],
})
