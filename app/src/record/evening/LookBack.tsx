import { instantOf } from 'core/time/localTime'
import { useRouter } from 'expo-router'
import { Button } from '../../ui/Button'
import { formatDay } from '../../words/format'
import { useWords } from '../../words/i18n'

const NOON_MIN = 720

/** Opens a day of the record as an evening of the line. */
export function LookBack({ day, zone }: { day: string; zone: string }) {
  const t = useWords('record')
  const router = useRouter()
  const name = t('evening.openOn', { day: formatDay(instantOf(day, NOON_MIN, zone), zone) })
  return (
    <Button
      size="body"
      label={t('evening.open')}
      accessibleName={name}
      onPress={() => router.push(`/record/evening/${day}`)}
    />
  )
}
