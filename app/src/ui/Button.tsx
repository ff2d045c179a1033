import type { ReactNode } from 'react'
import { Pressable, View } from 'react-native'
import { openSound } from '../device/signal'
import { Text, type TextProps } from './Text'

type ButtonKind = 'main' | 'plain' | 'inverse'
export type ButtonProps = {
  label: string
  /** A second, smaller line. */
  detail?: string | undefined
  kind?: ButtonKind
  /** Full height of the thing to do at a station; otherwise the least target. */
  isTall?: boolean
  /** Why it cannot be pressed now; shown on it. */
  disabledBecause?: string | undefined
  isBusy?: boolean
  /** Passes over taps for a moment: what it stands for has only just changed. */
  isResting?: boolean
  icon?: ReactNode
  size?: TextProps['size']
  className?: string
  accessibleName?: string
  onPress: () => void
}

export const GROUND: Readonly<
  Record<ButtonKind, { rest: string; pressed: string; tone: NonNullable<TextProps['tone']> }>
> = {
  main: { rest: 'bg-celadon border-celadon', pressed: 'bg-pressed border-pressed', tone: 'ink' },
  plain: { rest: 'bg-ground border-line', pressed: 'bg-plate border-rice', tone: 'rice' },
  inverse: { rest: 'bg-inverse border-inverse', pressed: 'bg-inverse border-line', tone: 'inverse' },
}

/** One celadon button a screen: the thing to do. Disabled is dashed and says why; busy is a wave. */
export function Button(props: ButtonProps) {
  const {
    kind = 'plain',
    isTall = false,
    disabledBecause,
    isBusy = false,
    isResting = false,
    className = '',
    accessibleName,
    onPress,
  } = props
  const isDisabled = disabledBecause !== undefined
  const { rest, pressed } = GROUND[kind]
  return (
    <Pressable
      role="button"
      aria-label={accessibleName ?? nameOf(props)}
      disabled={isDisabled || isBusy || isResting}
      aria-busy={isBusy}
      onPress={() => {
        openSound()
        onPress()
      }}
      className={`screen-only ring-focus items-center justify-center rounded-lg ${isTall ? 'min-h-24' : 'min-h-14'} ${isResting ? 'opacity-60' : ''} ${className}`}
    >
      {({ pressed: isPressed }) => (
        <View
          className={`w-full flex-1 items-center justify-center rounded-lg border px-2 py-1 ${
            isDisabled ? 'hatched dashed border-line bg-ground' : isPressed ? pressed : rest
          }`}
        >
          <Face {...props} />
        </View>
      )}
    </Pressable>
  )
}

export function nameOf({ label, detail, disabledBecause }: ButtonProps): string {
  return [label, disabledBecause ?? detail].filter(Boolean).join(', ')
}

function Face({
  label,
  detail,
  kind = 'plain',
  disabledBecause,
  isBusy = false,
  icon,
  isTall = false,
  size,
}: ButtonProps) {
  const tone = disabledBecause === undefined ? GROUND[kind].tone : 'rice'
  return (
    <>
      {icon}
      <Text size={size ?? (isTall ? 'title' : 'step')} weight="bold" tone={tone} className="text-center">
        {label}
      </Text>
      {(disabledBecause ?? detail) !== undefined && (
        <Text size="body" weight="medium" tone={tone} stretch="narrow" className="text-center">
          {disabledBecause ?? detail}
        </Text>
      )}
      {isBusy && <View className="busy-wave mt-1 h-2 w-16 text-ink" />}
    </>
  )
}
