import type { TempLimit } from 'core/measure/temperature'
import type { Kitchen } from 'contract/kitchen'
import type { DayRicePlan } from 'core/rice/plan/ricePlanFor'
import { scaleLinear } from 'd3-scale'
import { View } from 'react-native'
import Svg, { G, Line, Path, Rect } from 'react-native-svg'
import { Text } from '../../ui/Text'
import { formatTemp, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'

const ROW_PX = 11

/** Each load from the heat to the cold: a bar while it cooks, a tail while it cools, and the hour all must be cold by. */
export function LoadTimes({
  day,
  kitchen,
  cold,
  widthPx,
}: {
  day: DayRicePlan
  kitchen: Kitchen
  cold: TempLimit
  widthPx: number
}) {
  const t = useWords('rice')
  const { times } = day.plan
  const first = times[0]
  const last = times.at(-1)
  if (!first || !last) return null
  const lastColdMs = last.coldMs ?? last.readyMs
  const endMs = Math.max(lastColdMs, day.coldByMs)
  const x = scaleLinear([first.startMs, Math.max(endMs, first.startMs + 1)], [2, widthPx - 4])
  const height = times.length * ROW_PX + 14
  return (
    <View className="gap-1">
      <Svg width={widthPx} height={height} aria-hidden>
        {times.map((time, i) => {
          const y = 8 + i * ROW_PX
          const coldX = x(time.coldMs ?? endMs)
          return (
            <G key={i}>
              <Rect
                x={x(time.startMs)}
                y={y}
                width={x(time.readyMs) - x(time.startMs)}
                height={7}
                fill="rgb(var(--rice))"
              />
              <Path
                d={`M${x(time.readyMs)} ${y} L${coldX} ${y + 3.5} L${x(time.readyMs)} ${y + 7} Z`}
                fill="rgb(var(--ash))"
              />
            </G>
          )
        })}
        <Line
          x1={x(first.startMs)}
          x2={x(first.startMs)}
          y1={0}
          y2={height}
          stroke="rgb(var(--celadon))"
          strokeWidth={2.4}
        />
        <Line
          x1={x(day.coldByMs)}
          x2={x(day.coldByMs)}
          y1={0}
          y2={height}
          stroke="rgb(var(--rice))"
          strokeWidth={2.4}
        />
      </Svg>
      <View className="flex-row justify-between">
        <Text
          weight="bold"
          stretch="narrow"
        >{`${t('tomorrow.now')} ${formatTime(first.startMs, kitchen.timeZone)}`}</Text>
        <Text tone="ash" stretch="narrow">
          {t('tomorrow.cooling')}
        </Text>
        <Text weight="bold" stretch="narrow">
          {last.coldMs === null
            ? t('notCold')
            : t('tomorrow.allCold', {
                temp: formatTemp(cold, kitchen.readsIn),
                time: formatTime(last.coldMs, kitchen.timeZone),
              })}
        </Text>
      </View>
    </View>
  )
}
