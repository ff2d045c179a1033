import type { RestoredKitchen } from 'contract/archive'
import { Text } from '../ui/Text'
import { formatDay, formatTime } from '../words/format'
import { useWords } from '../words/i18n'

/** What the owner of a kitchen that was read from a file writes on paper; it is shown once. */
export function RestoredPaper({ kitchen }: { kitchen: RestoredKitchen }) {
  const t = useWords('people')
  const { name, exportedAtMs, owner } = kitchen
  const zone = Intl.DateTimeFormat().resolvedOptions().timeZone
  const when = { name, day: formatDay(exportedAtMs, zone), time: formatTime(exportedAtMs, zone) }
  return (
    <>
      <Text weight="semi">{t('first.restored', when)}</Text>
      {owner ? (
        <>
          <Text>{t('first.restoredPin', { name: owner.name })}</Text>
          <Text size="step" weight="bold" stretch="narrow">
            {owner.pin}
          </Text>
          <Text>{t('first.restoredCode')}</Text>
          <Text size="step" weight="bold" stretch="narrow">
            {owner.code}
          </Text>
        </>
      ) : (
        <Text>{t('first.noOwner')}</Text>
      )}
    </>
  )
}
