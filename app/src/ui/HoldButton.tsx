import { useEffect, useRef, useState } from 'react'
import { View } from 'react-native'
import { openSound } from '../device/signal'
import { GROUND, nameOf, type ButtonProps } from './Button'
import { Text } from './Text'

const HOLD_MS = 1000
const HOLD_STEP_MS = 100

type Key = { key: string; repeat?: boolean; preventDefault: () => void }

/**
 * For what cannot be had by a slip of the knuckle: held for a second, by finger or by Space or Enter. A click without a
 * press, as a screen reader makes it, counts as held.
 */
export function HoldButton(props: Omit<ButtonProps, 'onPress'> & { onHeld: () => void }) {
  const { kind = 'inverse', isTall = false, className = '', icon, onHeld, label, detail } = props
  const [heldMs, setHeldMs] = useState(0)
  const timer = useRef<ReturnType<typeof setInterval> | null>(null)
  const wasPressed = useRef(false)
  const release = () => {
    if (timer.current) clearInterval(timer.current)
    timer.current = null
    setHeldMs(0)
  }
  useEffect(
    () => () => {
      if (timer.current) clearInterval(timer.current)
    },
    [],
  )
  const begin = () => {
    openSound()
    release()
    wasPressed.current = true
    const begunMs = performance.now()
    timer.current = setInterval(() => {
      const ms = performance.now() - begunMs
      setHeldMs(ms)
      if (ms < HOLD_MS) return
      release()
      onHeld()
    }, HOLD_STEP_MS)
  }
  const isHoldKey = ({ key }: Key) => key === 'Enter' || key === ' '
  const { rest, tone } = GROUND[kind]
  return (
    <View
      role="button"
      tabIndex={0}
      aria-label={nameOf({ label, detail, onPress: onHeld })}
      className={`screen-only ring-focus hold overflow-hidden rounded-lg border ${rest} ${isTall ? 'min-h-24' : 'min-h-14'} items-center justify-center ${className}`}
      onPointerDown={begin}
      onPointerUp={release}
      onPointerLeave={release}
      {...{
        onPointerCancel: release,
        onBlur: release,
        onContextMenu: (event: { preventDefault: () => void }) => event.preventDefault(),
        onKeyDown: (event: Key) => {
          if (!isHoldKey(event)) return
          event.preventDefault()
          if (!event.repeat) begin()
        },
        onKeyUp: (event: Key) => {
          if (isHoldKey(event)) release()
        },
        onClick: () => {
          if (!wasPressed.current) onHeld()
          wasPressed.current = false
        },
      }}
    >
      <View
        className="absolute bottom-0 left-0 top-0 bg-line opacity-60"
        style={{ width: `${Math.min(1, heldMs / HOLD_MS) * 100}%` }}
      />
      {icon}
      <Text size={isTall ? 'title' : 'step'} weight="bold" tone={tone} className="text-center">
        {label}
      </Text>
      {detail !== undefined && (
        <Text size="body" tone={tone} stretch="narrow" className="text-center">
          {detail}
        </Text>
      )}
    </View>
  )
}
