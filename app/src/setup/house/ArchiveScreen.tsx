import { ARCHIVE_NAME } from 'contract/archive'
import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { download } from '../../device/download'
import { useMay } from '../../people/me'
import { Button } from '../../ui/Button'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { HousePage } from './HousePage'
import { useDeleteSample, useSampleKitchen } from './useHouse'

/** The whole kitchen as one file, and the end of the sample kitchen beside it; for owners. */
export function ArchiveScreen() {
  const t = useWords('setup')
  const router = useRouter()
  const isOwner = useMay('archive')
  return (
    <HousePage title={t('house.archive.title')}>
      <Text>{t('house.archive.how')}</Text>
      {isOwner ? (
        <Button
          kind="main"
          isTall
          label={t('house.archive.save')}
          detail={t('house.archive.saveDetail')}
          onPress={() => download('/api/archive', ARCHIVE_NAME)}
        />
      ) : (
        <Text tone="ash">{t('house.archive.ownerOnly')}</Text>
      )}
      <Section title={t('house.archive.readTitle')}>
        <Text>{t('house.archive.read')}</Text>
        {isOwner && <Button label={t('house.begin.open')} onPress={() => router.push('/setup/begin')} />}
      </Section>
      <Sample isOwner={isOwner} />
    </HousePage>
  )
}

function Sample({ isOwner }: { isOwner: boolean }) {
  const t = useWords('setup')
  const sample = useSampleKitchen().data
  const remove = useDeleteSample()
  const problem = useProblemSentence(remove.error)
  if (!sample?.isBeside) return null
  return (
    <Section title={t('house.archive.sampleTitle')}>
      <Text>{t('house.archive.sample')}</Text>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      {isOwner && (
        <HoldButton
          label={t('house.archive.deleteSample')}
          detail={t('house.archive.deleteDetail')}
          onHeld={() => remove.mutate(undefined, { onSuccess: () => toast(t('house.archive.deleted')) })}
        />
      )}
    </Section>
  )
}

function Section({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <View className="mt-2 gap-2 border-t border-edge pt-3">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {title}
      </Text>
      {children}
    </View>
  )
}
