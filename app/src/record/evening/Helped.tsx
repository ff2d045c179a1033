import type { Station } from 'contract/kitchen'
import type { EveningChange } from 'core/line/past/eveningAgain'
import type { LateTicket } from 'core/line/past/lateTickets'
import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { formatClock } from '../../words/format'
import { useWords } from '../../words/i18n'
import type { Again } from './useEvening'

type HelpedProps = { again: readonly Again[]; late: readonly LateTicket[]; stations: readonly Station[] }

const PERCENT = 100

/** The evening as it went, and as the plan would have had it with what there was and with one more, as bars on one scale. */
export function Helped({ again, late, stations }: HelpedProps) {
  const t = useWords('record')
  const wentS = late.reduce((sum, { lateS }) => sum + lateS, 0)
  const mostS = Math.max(1, wentS, ...again.map(({ plan }) => plan?.lateS ?? 0))
  const nameOf = (change: EveningChange): string => {
    switch (change.kind) {
      case 'asItWas':
        return t('evening.planned')
      case 'hands':
        return t('evening.hands')
      case 'station':
        return t('evening.station', {
          station: stations.find(({ id }) => id === change.stationId)?.name ?? change.stationId,
        })
    }
  }
  const noteOf = ({ state, plan }: Again): string | null =>
    state === 'failed'
      ? t('evening.failed')
      : state === 'working'
        ? t('evening.working')
        : plan === null
          ? t('evening.none')
          : null
  return (
    <View className="gap-3 md:min-w-0 md:flex-1" aria-live="polite">
      <View>
        <Text role="heading" aria-level={2} size="step" weight="bold">
          {t('evening.helped')}
        </Text>
        <Text size="small" tone="ash">
          {t('evening.helpedHow')}
        </Text>
      </View>
      <Bar name={t('evening.asItWas')} tickets={late.length} lateS={wentS} mostS={mostS} />
      {again.map((one) => {
        const note = noteOf(one)
        const key = one.change.kind === 'station' ? one.change.stationId : one.change.kind
        if (note === null && one.plan)
          return (
            <Bar
              key={key}
              name={nameOf(one.change)}
              tickets={one.plan.lateTickets}
              lateS={one.plan.lateS}
              mostS={mostS}
            />
          )
        return (
          <View key={key} className="flex-row justify-between gap-3">
            <Text className="min-w-0 flex-1">{nameOf(one.change)}</Text>
            <Text tone="ash">{note}</Text>
          </View>
        )
      })}
    </View>
  )
}

function Bar({ name, tickets, lateS, mostS }: { name: string; tickets: number; lateS: number; mostS: number }) {
  const t = useWords('record')
  return (
    <View className="gap-1">
      <View className="flex-row justify-between gap-3">
        <Text weight="bold" className="min-w-0 flex-1">
          {name}
        </Text>
        <Text stretch="narrow">
          {tickets === 0 ? t('evening.nobody') : t('evening.late', { count: tickets, time: formatClock(lateS) })}
        </Text>
      </View>
      <View className="h-2 bg-edge" aria-hidden>
        <View className="h-2 bg-rice" style={{ width: `${(lateS / mostS) * PERCENT}%` }} />
      </View>
    </View>
  )
}
