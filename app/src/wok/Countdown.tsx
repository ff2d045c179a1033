import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { kitchenNowMs } from '../device/clock'
import { Text, type TextProps } from '../ui/Text'
import { formatClock } from '../words/format'

/** Seconds until an instant, again at each of its full seconds; the only thing on the screen that is drawn every second. */
function useLeftS(untilMs: number): number {
  const [nowMs, setNowMs] = useState(kitchenNowMs)
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>
    const tick = () => {
      const now = kitchenNowMs()
      setNowMs(now)
      const untilNextMs = (((untilMs - now) % 1000) + 1000) % 1000
      timer = setTimeout(tick, Math.max(30, untilNextMs + 4))
    }
    tick()
    return () => clearTimeout(timer)
  }, [untilMs])
  return Math.ceil((untilMs - nowMs) / 1000 - 0.001)
}

/** The time left; past the instant it counts up with a plus, or stays at zero. */
export function Countdown({
  untilMs,
  mayPass,
  ...text
}: { untilMs: number; mayPass: boolean } & Omit<TextProps, 'children'>) {
  const leftS = useLeftS(untilMs)
  return (
    <View role={mayPass ? 'timer' : undefined}>
      <Text weight="bold" stretch="narrow" {...text}>
        {formatClock(mayPass ? leftS : Math.max(0, leftS))}
      </Text>
    </View>
  )
}
