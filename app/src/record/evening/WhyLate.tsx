import { group, sum } from 'd3-array'
import type { LateCause, LateTicket } from 'core/line/past/lateTickets'
import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { formatClock } from '../../words/format'
import { useWords } from '../../words/i18n'

const PERCENT = 100

/** The late tickets by what held them up longest, the weightiest cause first, each as long as it cost. */
export function WhyLate({ late }: { late: readonly LateTicket[] }) {
  const t = useWords('record')
  const causes = [...group(late, ({ cause }) => cause)]
    .map(([cause, tickets]) => ({ cause, tickets, lateS: sum(tickets, ({ lateS }) => lateS) }))
    .sort((a, b) => b.lateS - a.lateS)
  const mostS = Math.max(...causes.map(({ lateS }) => lateS))
  return (
    <View className="gap-3 md:min-w-0 md:flex-1">
      <View>
        <Text role="heading" aria-level={2} size="step" weight="bold">
          {t('evening.why')}
        </Text>
        <Text size="small" tone="ash">
          {t('evening.whyHow')}
        </Text>
      </View>
      {causes.map(({ cause, tickets, lateS }) => (
        <View key={cause} className="gap-1">
          <View className="flex-row justify-between gap-3">
            <Text weight="bold" className="min-w-0 flex-1">
              {t(`evening.causes.${cause}`)}
            </Text>
            <Text weight="bold" stretch="narrow">
              {formatClock(lateS)}
            </Text>
          </View>
          <View className="h-2 bg-edge" aria-hidden>
            <View className="h-2 bg-rice" style={{ width: `${(lateS / mostS) * PERCENT}%` }} />
          </View>
          {tickets.map((ticket) => (
            <LateLine key={ticket.id} ticket={ticket} cause={cause} />
          ))}
        </View>
      ))}
    </View>
  )
}

function LateLine({ ticket, cause }: { ticket: LateTicket; cause: LateCause }) {
  const t = useWords('record')
  const parts = [...ticket.parts]
    .sort((a, b) => Number(b.cause === cause) - Number(a.cause === cause) || b.seconds - a.seconds)
    .map((part) => t(`evening.part.${part.cause}`, { time: formatClock(part.seconds) }))
  return (
    <View className="flex-row items-baseline gap-3">
      <Text stretch="slim" className="w-24">
        {t('evening.ticket', { number: ticket.number })}
      </Text>
      <Text stretch="narrow" weight="bold" className="w-14">
        {formatClock(ticket.lateS)}
      </Text>
      <Text tone="ash" size="small" className="min-w-0 flex-1">
        {parts.join(', ')}
      </Text>
    </View>
  )
}
