import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { useMay } from '../../people/me'
import { WhoButton } from '../../people/WhoButton'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { useAside } from './usePeople'

/** Who is here, and the way to people, devices and what they changed; only what whoever is here may open. */
export function HouseLinks() {
  const t = useWords('people')
  const setup = useWords('setup')
  const router = useRouter()
  const isOwner = useMay('people')
  const waiting = useAside().data?.aside.length ?? 0
  const isLead = useMay('decide')
  return (
    <View className="mt-4 gap-2 border-t border-edge pt-3">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('who.title')}
      </Text>
      <WhoButton />
      <Button label={setup('house.title')} detail={setup('house.before')} onPress={() => router.push('/setup/first')} />
      <Button label={setup('prep.title')} detail={setup('prep.detail')} onPress={() => router.push('/setup/prep')} />
      {isOwner && (
        <>
          <Button
            label={t('setup.people')}
            detail={t('setup.peopleDetail')}
            onPress={() => router.push('/setup/people')}
          />
          <Button
            label={t('setup.devices')}
            detail={t('setup.devicesDetail')}
            onPress={() => router.push('/setup/devices')}
          />
          <Button
            label={t('setup.changes')}
            detail={t('setup.changesDetail')}
            onPress={() => router.push('/setup/changes')}
          />
          <Button
            label={setup('house.archive.title')}
            detail={setup('house.archive.detail')}
            onPress={() => router.push('/setup/archive')}
          />
          <Button
            label={setup('house.begin.open')}
            detail={setup('house.begin.openDetail')}
            onPress={() => router.push('/setup/begin')}
          />
        </>
      )}
      {isLead && (
        <Button
          label={waiting > 0 ? `${t('setup.aside')}, ${waiting}` : t('setup.aside')}
          detail={t('setup.asideDetail')}
          onPress={() => router.push('/setup/aside')}
        />
      )}
    </View>
  )
}
