import { useEffect, useRef } from 'react'
import { Pressable, View } from 'react-native'
import { openSound } from '../device/signal'
import { Text } from './Text'
import { useTyped } from './useTyped'

type DialProps = {
  /** What is dialled, for those who hear it. */
  name: string
  /** Null until it is touched: nothing was measured yet. */
  value: number | null
  /** Where the first touch begins from. */
  from?: number
  least: number
  most: number
  step?: number
  unit: string
  lessLabel: string
  moreLabel: string
  onChange: (value: number) => void
}

const REPEAT_MS = 70
const HUNDREDTHS = 100

/** A number for wet hands: two targets a knuckle hits and may rest on, the arrow keys, and typed digits. */
export function Dial({ name, value, from, least, most, step = 1, unit, lessLabel, moreLabel, onChange }: DialProps) {
  const here = value ?? from ?? least
  const set = (next: number) => {
    openSound()
    onChange(Math.min(most, Math.max(least, Math.round(next * HUNDREDTHS) / HUNDREDTHS)))
  }
  const move = (by: number) => set(here + by)
  const typed = useTyped(set)
  const keys: Record<string, number> = {
    ArrowUp: step,
    ArrowRight: step,
    ArrowDown: -step,
    ArrowLeft: -step,
    PageUp: 10 * step,
    PageDown: -10 * step,
  }
  return (
    <View className="flex-row items-stretch gap-2">
      <Side label={lessLabel} sign="−" isAtEnd={here <= least} onPress={() => move(-step)} />
      <View
        role="spinbutton"
        tabIndex={0}
        aria-label={name}
        aria-valuenow={value ?? undefined}
        aria-valuemin={least}
        aria-valuemax={most}
        aria-valuetext={`${value ?? '–'} ${unit}`}
        className="ring-focus min-w-24 flex-1 items-center justify-end rounded-lg"
        {...{
          onKeyDown: (event: { key: string; preventDefault: () => void }) => {
            const by = keys[event.key]
            if (by !== undefined) move(by)
            else if (!typed(event.key)) return
            event.preventDefault()
          },
        }}
      >
        <View className="flex-row items-baseline gap-1" aria-hidden>
          <Text size="figure" weight="bold" stretch="narrow">
            {value ?? '–'}
          </Text>
          <Text size="body" weight="medium">
            {unit}
          </Text>
        </View>
        <View className="h-2.5 w-full flex-row items-end justify-between px-2" aria-hidden>
          {[-4, -3, -2, -1, 0, 1, 2, 3, 4].map((tick) => (
            <View
              key={tick}
              className={`w-0.5 ${tick === 0 ? 'h-2.5 bg-celadon' : tick % 2 === 0 ? 'h-2 bg-ash' : 'h-1 bg-ash'}`}
            />
          ))}
        </View>
      </View>
      <Side label={moreLabel} sign="+" isAtEnd={here >= most} onPress={() => move(step)} />
    </View>
  )
}

function Side({
  label,
  sign,
  isAtEnd,
  onPress,
}: {
  label: string
  sign: string
  isAtEnd: boolean
  onPress: () => void
}) {
  const timer = useRef<ReturnType<typeof setInterval> | null>(null)
  const latest = useRef(onPress)
  useEffect(() => void (latest.current = onPress), [onPress])
  const stop = () => {
    if (timer.current) clearInterval(timer.current)
    timer.current = null
  }
  useEffect(() => stop, [])
  return (
    <Pressable
      role="button"
      aria-label={label}
      disabled={isAtEnd}
      onPress={onPress}
      onLongPress={() => (timer.current = setInterval(() => latest.current(), REPEAT_MS))}
      onPressOut={stop}
      className={`ring-focus h-14 w-14 items-center justify-center rounded-lg border border-line bg-ground active:bg-plate ${isAtEnd ? 'dashed' : ''}`}
    >
      <Text size="amount" weight="semi" aria-hidden>
        {sign}
      </Text>
    </Pressable>
  )
}
