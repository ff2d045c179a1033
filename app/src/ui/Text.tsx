import type { ReactNode } from 'react'
import { Text as NativeText, type TextProps as NativeTextProps } from 'react-native'

const SIZES = {
  small: 'text-small',
  body: 'text-body',
  step: 'text-step',
  title: 'text-title',
  lead: 'text-lead',
  amount: 'text-amount',
  figure: 'text-figure',
  action: 'text-action',
  clock: 'text-clock',
  clockWide: 'text-clock-wide',
} as const
const WEIGHTS = { normal: 'font-normal', medium: 'font-medium', semi: 'font-semibold', bold: 'font-bold' } as const
const TONES = {
  rice: 'text-rice',
  ash: 'text-ash',
  celadon: 'text-celadon',
  ink: 'text-ink',
  inverse: 'text-on-inverse',
  disabled: 'text-disabled',
  channel: 'text-in-channel',
  quiet: 'rail-quiet',
} as const
const STRETCHES = { narrow: 'narrow', slim: 'slim', normal: '', wide: 'wide' } as const

export type TextProps = {
  size?: keyof typeof SIZES
  weight?: keyof typeof WEIGHTS
  tone?: keyof typeof TONES
  stretch?: keyof typeof STRETCHES
  className?: string
  children: ReactNode
  'aria-level'?: number
} & Pick<NativeTextProps, 'role' | 'aria-live' | 'aria-hidden' | 'aria-label' | 'numberOfLines' | 'nativeID' | 'testID'>

/** All text of the application: the one typeface, tabular figures, a size and a tone by name. */
export function Text({
  size = 'body',
  weight = 'normal',
  tone = 'rice',
  stretch = 'normal',
  className = '',
  ...rest
}: TextProps) {
  const classes = `font-sans figures ${SIZES[size]} ${WEIGHTS[weight]} ${TONES[tone]} ${STRETCHES[stretch]} ${className}`
  return <NativeText className={classes} {...rest} />
}
