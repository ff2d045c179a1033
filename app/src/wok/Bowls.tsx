import type { Run } from 'contract/run'
import { bowlsOf } from 'core/line/pass/bowls'
import { runState } from 'core/wok/run'
import { View } from 'react-native'
import { kitchenNowMs } from '../device/clock'
import { useTickets } from '../line/useTickets'
import { useKitchen } from '../setup/useKitchen'
import { Text } from '../ui/Text'
import { formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import { useOpenRuns } from './useRuns'

/** Where the portions of this batch go: tickets that are whole with them, and those that are kept together until the rest is up. */
export function Bowls({ run }: { run: Run }) {
  const t = useWords('wok')
  const kitchen = useKitchen().data
  const { data, tickets, later } = useTickets()
  const open = useOpenRuns()
  if (!data || !open.data || run.parts.length === 0) return null
  const nowMs = kitchenNowMs()
  const others = open.runs.map((one) => ({ ...one, upMs: runState(one, one.events, nowMs).upMs }))
  const stationName = (id: string) => kitchen?.stations.find((one) => one.id === id)?.name ?? id
  return (
    <View role="list" aria-label={t('bowls.title')} className="gap-1">
      {bowlsOf(run, tickets, later === null, others).map(
        ({ ticketId, ticketNumber, portions, allPortions, frying, toFire, isWhole }) => (
          <View key={ticketId} role="listitem" className="flex-row items-baseline gap-3">
            <Text size="step" weight="bold" stretch="slim">
              {t('bowls.ticket', { number: ticketNumber })}
            </Text>
            <Text className="min-w-0 flex-1" weight={isWhole ? 'normal' : 'semi'} tone={isWhole ? 'ash' : 'rice'}>
              {isWhole === null
                ? t('bowls.unknown', { count: portions })
                : isWhole
                  ? t('bowls.whole', { count: portions })
                  : [
                      t('bowls.part', { n: portions, all: allPortions }),
                      frying &&
                        t('bowls.frying', {
                          count: frying.portions,
                          station: stationName(frying.stationId),
                          time: formatTime(frying.upMs, kitchen?.timeZone ?? 'UTC'),
                        }),
                      toFire > 0 && t('bowls.toFire', { count: toFire }),
                    ]
                      .filter(Boolean)
                      .join(', ')}
            </Text>
          </View>
        ),
      )}
    </View>
  )
}
