import { useEffect, useRef, useState, type ReactNode } from 'react'
import { Pressable, View } from 'react-native'
import { openSound } from '../device/signal'
import { Text, type TextProps } from './Text'

export type ButtonKind = 'main' | 'plain' | 'inverse'
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
  icon?: ReactNode
  size?: TextProps['size']
  className?: string
  accessibleName?: string
  onPress: () => void
}

const GROUND: Readonly<Record<ButtonKind, { rest: string; pressed: string; tone: NonNullable<TextProps['tone']> }>> = {
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
      disabled={isDisabled || isBusy}
      aria-busy={isBusy}
      onPress={() => {
        openSound()
        onPress()
      }}
      className={`ring-focus items-center justify-center rounded-lg ${isTall ? 'min-h-24' : 'min-h-14'} ${className}`}
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

function nameOf({ label, detail, disabledBecause }: ButtonProps): string {
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

const HOLD_MS = 1000
const HOLD_STEP_MS = 100

/** For what cannot be had by a slip of the knuckle: held for a second; a click by a screen reader counts as held. */
export function HoldButton(props: Omit<ButtonProps, 'onPress'> & { onHeld: () => void }) {
  const { kind = 'inverse', isTall = false, className = '', onHeld, label, detail } = props
  const [heldMs, setHeldMs] = useState(0)
  const timer = useRef<ReturnType<typeof setInterval> | null>(null)
  const wasTouched = useRef(false)
  const release = () => {
    if (timer.current) clearInterval(timer.current)
    timer.current = null
    setHeldMs(0)
  }
  useEffect(() => release, [])
  const begin = () => {
    wasTouched.current = true
    if (timer.current) return
    const begunMs = performance.now()
    timer.current = setInterval(() => {
      const ms = performance.now() - begunMs
      setHeldMs(ms)
      if (ms < HOLD_MS) return
      release()
      onHeld()
    }, HOLD_STEP_MS)
  }
  const { rest, tone } = GROUND[kind]
  return (
    <Pressable
      role="button"
      aria-label={nameOf({ label, detail, onPress: onHeld })}
      onPressIn={begin}
      onPressOut={release}
      onPress={() => {
        if (!wasTouched.current) onHeld()
        wasTouched.current = false
      }}
      className={`ring-focus overflow-hidden rounded-lg border ${rest} ${isTall ? 'min-h-24' : 'min-h-14'} items-center justify-center ${className}`}
    >
      <View
        className="absolute bottom-0 left-0 top-0 bg-line opacity-60"
        style={{ width: `${Math.min(1, heldMs / HOLD_MS) * 100}%` }}
      />
      {props.icon}
      <Text size={isTall ? 'title' : 'step'} weight="bold" tone={tone} className="text-center">
        {label}
      </Text>
      {detail !== undefined && (
        <Text size="body" tone={tone} stretch="narrow" className="text-center">
          {detail}
        </Text>
      )}
    </Pressable>
  )
}
