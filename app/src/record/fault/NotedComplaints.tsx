import type { ComplaintSubject, NotedComplaint } from 'contract/faults'
import { View } from 'react-native'
import { nameOfStaff } from '../../people/nameOfStaff'
import { useKitchen } from '../../setup/useKitchen'
import { Text } from '../../ui/Text'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'

type Props = { complaints: readonly NotedComplaint[]; nameOf: (of: ComplaintSubject) => string }

/** Complaints, a line each with who wrote it down; what was taken back stays, struck out. */
export function NotedComplaints({ complaints, nameOf }: Props) {
  const t = useWords('record')
  const kitchen = useKitchen().data
  const zone = kitchen?.timeZone ?? 'UTC'
  return (
    <View>
      {complaints.map(({ id, of, what, staffId, atMs, takenBackAtMs }) => {
        const words = t('fault.line', {
          time: formatTime(atMs, zone),
          of: nameOf(of),
          what: t(`fault.complaints.${what}`),
          by: nameOfStaff(kitchen, staffId) ?? t('noCook'),
        })
        if (takenBackAtMs === null) return <Text key={id}>{words}</Text>
        return (
          <View key={id} className="flex-row flex-wrap gap-x-2">
            <Text tone="ash" className="line-through">
              {words}
            </Text>
            <Text tone="ash">{t('fault.takenBack', { time: formatTime(takenBackAtMs, zone) })}</Text>
          </View>
        )
      })}
    </View>
  )
}
