import type { AuditEntry } from 'contract/people'
import { View } from 'react-native'
import { download } from '../../device/download'
import { useMay } from '../../people/me'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useKitchen } from '../useKitchen'
import { nameOfStaff } from '../../people/nameOfStaff'
import { useChanges } from './usePeople'
import { HousePage } from '../house/HousePage'
import { Asked } from './Asked'

/** Who changed what answers for safety or money, newest first; for owners. Nobody can edit it. */
export function ChangesScreen() {
  const t = useWords('people')
  const isOwner = useMay('people')
  const changes = useChanges()
  const entries = changes.data?.pages.flatMap((page) => page.entries)
  return (
    <HousePage title={t('setup.changes')}>
      <Asked mayRead={isOwner} otherwise={t('setup.ownerOnly')} query={changes} data={entries}>
        {(all) => (
          <>
            <Button
              size="body"
              label={t('setup.csv')}
              className="w-40"
              onPress={() => download('/api/audit.csv', 'okazu-changes.csv')}
            />
            {all.length === 0 && <Text tone="ash">{t('setup.none')}</Text>}
            <View role="list">
              {all.map((one) => (
                <Entry key={one.id} entry={one} />
              ))}
            </View>
            {changes.hasNextPage && (
              <Button
                label={t('setup.older')}
                isBusy={changes.isFetchingNextPage}
                onPress={() => void changes.fetchNextPage()}
              />
            )}
          </>
        )}
      </Asked>
    </HousePage>
  )
}

function Entry({ entry }: { entry: AuditEntry }) {
  const t = useWords('people')
  const kitchen = useKitchen().data
  const zone = kitchen?.timeZone ?? 'UTC'
  const who = nameOfStaff(kitchen, entry.staffId) ?? t('who.nobody')
  const about = [entry.subject, change(t, entry)].filter(Boolean).join(' · ')
  return (
    <View role="listitem" className="border-b border-edge py-2">
      <Text weight="semi">{t(`setup.whats.${entry.what}`)}</Text>
      {about !== '' && <Text>{about}</Text>}
      <Text size="small" tone="ash">
        {[who, entry.deviceName ?? '', formatDay(entry.atMs, zone), formatTime(entry.atMs, zone)]
          .filter(Boolean)
          .join(' · ')}
      </Text>
    </View>
  )
}

function change(t: ReturnType<typeof useWords<'people'>>, { was, became }: AuditEntry): string {
  if (was !== null && became !== null) return t('setup.wasBecame', { was, became })
  return became ?? was ?? ''
}
