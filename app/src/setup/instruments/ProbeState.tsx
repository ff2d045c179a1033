import { useRouter } from 'expo-router'
import { useLots } from '../../rice/useLots'
import { useProbe } from '../../rice/lot/useProbe'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

/** Which tray the probe is in, and the way there. */
export function ProbeState() {
  const t = useWords('setup')
  const router = useRouter()
  const probe = useProbe().data
  const { lots } = useLots()
  if (!probe) return null
  if (probe.lotId === null) return <Text>{t('instruments.probeRests')}</Text>
  const name = lots?.find(({ lot }) => lot.id === probe.lotId)?.lot.name
  return (
    <>
      <Text>{name === undefined ? t('instruments.probeAway') : t('instruments.probeIn', { name })}</Text>
      {name !== undefined && (
        <Button
          size="body"
          className="md:w-72"
          label={t('instruments.toLot', { name })}
          onPress={() => router.push(`/rice/${probe.lotId}`)}
        />
      )}
    </>
  )
}
