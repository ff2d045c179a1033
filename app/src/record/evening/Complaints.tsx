import type { Evening } from 'contract/evening'
import type { ComplaintSubject } from 'contract/faults'
import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { NotedComplaints } from '../fault/NotedComplaints'
import { useComplaints } from '../fault/useComplaints'

/** What was complained of on a day: of its runs, its tickets, or all of it; and the way to their causes. */
export function Complaints({ day, evening, zone }: { day: string; evening: Evening; zone: string }) {
  const t = useWords('record')
  const router = useRouter()
  const runs = new Map(evening.runs.map((run) => [run.id, run]))
  const tickets = new Map(evening.tickets.map((ticket) => [ticket.id, ticket]))
  const dishes = new Map<string, string>(evening.runs.map((run) => [run.dishId, run.dishName]))
  const { data, complaints: known } = useComplaints()
  const complaints = known.filter(({ of }) => {
    switch (of.kind) {
      case 'run':
        return runs.has(of.runId)
      case 'ticket':
        return tickets.has(of.ticketId)
      case 'evening':
        return of.day === day
    }
  })
  const nameOf = (of: ComplaintSubject): string => {
    switch (of.kind) {
      case 'run': {
        const run = runs.get(of.runId)
        return run ? t('fault.of.batch', { dish: run.dishName, time: formatTime(run.firedAtMs, zone) }) : ''
      }
      case 'ticket':
        return t('fault.of.ticket', { number: tickets.get(of.ticketId)?.number ?? '' })
      case 'evening':
        return of.dishId === null
          ? t('fault.of.evening')
          : t('fault.of.dish', { dish: dishes.get(of.dishId) ?? of.dishId })
    }
  }
  return (
    <View className="gap-2">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('fault.complaintsOf')}
      </Text>
      {data && complaints.length === 0 && <Text tone="ash">{t('fault.noComplaints')}</Text>}
      <NotedComplaints complaints={complaints} nameOf={nameOf} />
      <Button
        label={t('fault.openEvening')}
        className="self-start"
        onPress={() => router.push(`/record/fault/evening/${day}`)}
      />
    </View>
  )
}
