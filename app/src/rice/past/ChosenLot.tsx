import { useQuery } from '@tanstack/react-query'
import { Trace, type LotRow } from 'contract/rice'
import { useRouter } from 'expo-router'
import { ScrollView, View } from 'react-native'
import { getJson } from '../../device/http'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { TracedRuns } from '../lot/sheets/PaperSheets'

import { endOf } from './pastColumns'

/** A past lot beside the table: how it ended, and who got rice of it. */
export function ChosenLot({ row, zone }: { row: LotRow; zone: string }) {
  const t = useWords('rice')
  const router = useRouter()
  const trace = useQuery({
    queryKey: ['rice', 'trace', row.id],
    queryFn: ({ signal }) => getJson(`/rice/lots/${row.id}/trace`, Trace, signal),
  }).data
  return (
    <ScrollView tabIndex={0} className="min-h-0 flex-1 border-t border-edge">
      <View className="gap-2 pt-2">
        <Text role="heading" aria-level={2} size="lead" weight="bold" stretch="slim">
          {row.name}
        </Text>
        <Text>{endOf(row, t)}</Text>
        <Button size="body" label={t('past.open')} onPress={() => router.push(`/rice/${row.id}`)} />
        <Text role="heading" aria-level={3} weight="bold">
          {t('lot.traceTitle', { name: row.name })}
        </Text>
        {trace?.runs.length === 0 && <Text>{t('lot.traceNone')}</Text>}
        <TracedRuns runs={trace?.runs ?? []} timeZone={zone} />
      </View>
    </ScrollView>
  )
}
