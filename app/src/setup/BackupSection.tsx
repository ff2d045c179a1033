import { useQuery } from '@tanstack/react-query'
import { Health } from 'contract/health'
import { View } from 'react-native'
import { getJson } from '../device/http'
import { Notice } from '../ui/Notice'
import { Text } from '../ui/Text'
import { formatDay, formatTime } from '../words/format'
import { useWords } from '../words/i18n'

const LOOK_MS = 60_000

/** When the data was copied last, and how it is read back. */
export function BackupSection({ timeZone }: { timeZone: string }) {
  const t = useWords('setup')
  const { data } = useQuery({
    queryKey: ['worked', 'health'],
    queryFn: ({ signal }) => getJson('/health', Health, signal),
    refetchInterval: LOOK_MS,
  })
  if (!data) return null
  const { status, newestAtMs } = data.checks.backup
  const newest =
    newestAtMs === null
      ? t('backup.none')
      : t('backup.newest', { day: formatDay(newestAtMs, timeZone), time: formatTime(newestAtMs, timeZone) })
  return (
    <View className="mt-2 gap-1">
      <Text tone="ash">{t('backup.title')}</Text>
      {status === 'pass' ? <Text>{newest}</Text> : <Notice kind="conflict" isSmall title={newest} />}
      <Text tone="ash">{t('backup.how')}</Text>
    </View>
  )
}
