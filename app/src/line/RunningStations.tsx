import type { Station } from 'contract/kitchen'
import { View } from 'react-native'
import { kitchenNowMs } from '../device/clock'
import { Button } from '../ui/Button'
import { OneOf } from '../ui/OneOf'
import { Text } from '../ui/Text'
import { toast } from '../ui/Toast'
import { formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import { laterUntil } from './lineWords'
import { sayWish } from './plan/useLineState'
import type { Line } from './useLinePlan'

const STATES = ['cooks', 'later', 'down'] as const
type State = (typeof STATES)[number]
/** A station that starts later does so in this long until somebody says otherwise, and that is moved by this much [min]. */
const LATER_MIN = 20
const STEP_MIN = 10
const MINUTE_MS = 60_000

/** Each station cooks, starts later, or is down until somebody says so. */
export function RunningStations({ line }: { line: Line }) {
  return line.kitchen.stations.map((station) => <StationState key={station.id} line={line} station={station} />)
}

function StationState({ line, station: { id, name } }: { line: Line; station: Station }) {
  const t = useWords('line')
  const { timeZone } = line.kitchen
  const backAtMs = laterUntil(line, id)
  const state: State = line.wishes.downStations.includes(id) ? 'down' : backAtMs === null ? 'cooks' : 'later'
  const put = (next: State, at: number | null) =>
    sayWish({ kind: 'station', stationId: id, isDown: next !== 'cooks', backAtMs: next === 'later' ? at : null })
  const putLater = (at: number) => {
    put('later', at)
    toast(t('running.laterToast', { station: name, time: formatTime(at, timeZone) }), () => put(state, backAtMs))
  }
  const choose = (next: State) => {
    if (next === state) return
    if (next === 'later') return putLater(inMinutes(kitchenNowMs(), LATER_MIN))
    put(next, null)
    toast(t(next === 'down' ? 'running.downToast' : 'running.backToast', { station: name }), () => put(state, backAtMs))
  }
  return (
    <View className="border-b border-edge">
      <View className="flex-row flex-wrap items-center justify-between gap-x-3">
        <Text size="step" weight="bold" stretch="wide" className="min-w-20 flex-1">
          {name}
        </Text>
        <OneOf name={name} of={STATES} chosen={state} words={(one) => t(`running.${one}`)} onChoose={choose} />
      </View>
      {backAtMs !== null && (
        <View className="flex-row items-center gap-2 pb-2">
          <Text size="step" className="min-w-0 flex-1">
            {t('running.fromTime', { time: formatTime(backAtMs, timeZone) })}
          </Text>
          {[-STEP_MIN, STEP_MIN].map((minutes) => (
            <Button
              key={minutes}
              size="body"
              label={t(minutes < 0 ? 'running.sooner' : 'running.laterYet', { n: STEP_MIN })}
              onPress={() => putLater(Math.max(inMinutes(kitchenNowMs(), 1), inMinutes(backAtMs, minutes)))}
            />
          ))}
        </View>
      )}
    </View>
  )
}

const inMinutes = (fromMs: number, minutes: number) => Math.ceil(fromMs / MINUTE_MS + minutes) * MINUTE_MS
