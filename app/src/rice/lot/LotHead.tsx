import { useRouter } from 'expo-router'
import ChevronRight from 'lucide-react-native/icons/chevron-right'
import { Pressable, View } from 'react-native'
import { Icon } from '../../ui/icons'
import { PageHeading } from '../../ui/PageHeading'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

/** A lot's name and what it is, the way back, and what counts most at the right. */
export function LotHead({ title, about, big, small }: { title: string; about: string; big: string; small: string }) {
  const t = useWords('ui')
  const router = useRouter()
  return (
    <View className="flex-row items-center gap-1 border-b border-edge bg-plate pr-4">
      <Pressable
        role="link"
        aria-label={t('back')}
        onPress={() => router.push('/rice')}
        className="ring-focus h-16 w-14 items-center justify-center"
      >
        <View style={{ transform: [{ rotate: '180deg' }] }}>
          <Icon as={ChevronRight} sizePx={26} />
        </View>
      </Pressable>
      <View className="min-w-0 flex-1">
        <PageHeading weight="bold" numberOfLines={1}>
          {title}
        </PageHeading>
        <Text size="small" tone="ash" stretch="slim" numberOfLines={1}>
          {about}
        </Text>
      </View>
      <View className="items-end">
        <Text size="title" weight="bold" stretch="narrow">
          {big}
        </Text>
        <Text size="small" tone="ash" stretch="narrow">
          {small}
        </Text>
      </View>
    </View>
  )
}
