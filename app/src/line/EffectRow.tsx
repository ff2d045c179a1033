import { View } from 'react-native'
import { Notice } from '../ui/Notice'
import { Text } from '../ui/Text'
import { formatClock, formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import type { effectOf, WayOut } from './draftEffect'
import type { Line } from './useLinePlan'

/** Which batch the ticket joins, where, and when it is all up; who comes out late for it, and what would help most. */
export function EffectRow({ effect, line }: { effect: NonNullable<ReturnType<typeof effectOf>>; line: Line }) {
  const t = useWords('line')
  const { dish, station, joins, batches, readyMs, later, laterS, ownLateS, wayOut } = effect
  const zone = line.kitchen.timeZone
  const time = formatTime(readyMs, zone)
  const way = useWayOut(line)(wayOut)
  return (
    <View className="w-full gap-1 self-center">
      <View className="flex-row items-end justify-between gap-2">
        <View className="min-w-0 flex-1">
          <Text weight="bold" size="step" stretch="slim" numberOfLines={1}>
            {joins ? t('add.joins', { dish, station }) : t('add.newBatch', { station })}
          </Text>
          {batches > 1 && <Text tone="ash">{t('add.takes', { n: batches })}</Text>}
        </View>
        <View className="items-end">
          <Text tone="ash">{t('add.ready')}</Text>
          <Text size="figure" weight="bold" stretch="narrow">
            {time}
          </Text>
        </View>
      </View>
      {later.length > 0 && (
        <Notice
          kind="conflict"
          isSmall
          title={[
            t('add.makesLate', {
              tickets: later.map(({ number }) => number ?? '–').join(', '),
              time: formatClock(laterS),
            }),
            way,
          ]
            .filter(Boolean)
            .join('. ')}
        />
      )}
      {later.length === 0 && ownLateS > 30 && (
        <Notice kind="conflict" isSmall title={[t('add.tooSoon', { time }), way].filter(Boolean).join('. ')} />
      )}
    </View>
  )
}

function useWayOut({ kitchen }: Line): (way: WayOut) => string {
  const t = useWords('line')
  return (way) => {
    if (way === null) return ''
    switch (way.kind) {
      case 'hands':
        return t('add.wayOut.hands', { time: formatClock(way.lessS) })
      case 'station': {
        const station = kitchen.stations.find(({ id }) => id === way.stationId)?.name ?? way.stationId
        return t('add.wayOut.station', { station, time: formatClock(way.lessS) })
      }
      case 'tell':
        return t('add.wayOut.tell', { n: way.moreMin })
    }
  }
}
