import { ScrollView, View } from 'react-native'
import { useNowMs } from '../../device/clock'
import { useLinePlan, type Line } from '../../line/useLinePlan'
import { Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { CleanUp } from './CleanUp'
import { NextBatch } from './NextBatch'
import { RehearseLink } from './RehearseLink'
import { useIdleWords } from './useIdleWords'

/** With no run open: each station, how hot and how clean it is, what is next for it, and a rehearsal. */
export function PhoneStations() {
  const t = useWords('wok')
  const { line, error, refetch } = useLinePlan()
  if (!line) return error ? <Problem error={error} onRetry={() => void refetch()} /> : <Loading what={t('loading')} />
  return (
    <ScrollView tabIndex={0} className="min-h-0 flex-1">
      {line.kitchen.stations.map((station) => (
        <IdleStation key={station.id} line={line} stationId={station.id} />
      ))}
    </ScrollView>
  )
}

function IdleStation({ line, stationId }: { line: Line; stationId: string }) {
  const t = useWords('wok')
  const nowMs = useNowMs()
  const idleWords = useIdleWords()
  const station = line.kitchen.stations.find(({ id }) => id === stationId)!
  const past = line.pasts.find((one) => one.stationId === stationId)
  const next = line.batches.find((batch) => batch.stationId === stationId)
  return (
    <View role="group" aria-label={station.name} className="border-b border-edge pt-2">
      <View className="px-4">
        <Text role="heading" aria-level={2} size="title" weight="bold" stretch="wide">
          {station.name}
        </Text>
        <Text tone="ash" stretch="slim">
          {idleWords(station, past, (id) => line.dishes.find((dish) => dish.id === id)?.shortName, nowMs)}
        </Text>
      </View>
      {next ? (
        <NextBatch line={line} batch={next} hasScore={false} />
      ) : (
        <Text tone="ash" className="px-4 pt-2">
          {t(line.pending.length === 0 ? 'idle.nothing' : 'idle.working')}
        </Text>
      )}
      <CleanUp station={station} past={past} next={next} />
      <RehearseLink station={station} dishId={next?.dish.id ?? null} />
    </View>
  )
}
