import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Loading, Problem, useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { HousePage } from './HousePage'
import { useSketches, useTakeSketch } from './useHouse'

/** The first dish: one of one's own, or a sample dish as a sketch to change. */
export function SketchesScreen() {
  const t = useWords('setup')
  const router = useRouter()
  const sketches = useSketches()
  const take = useTakeSketch()
  const problem = useProblemSentence(take.error)
  return (
    <HousePage title={t('house.dish.title')}>
      <Button label={t('house.dish.own')} onPress={() => router.push('/book/new')} />
      <Text tone="ash">{t('house.dish.how')}</Text>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      {!sketches.data && sketches.error && <Problem error={sketches.error} onRetry={() => void sketches.refetch()} />}
      {!sketches.data && !sketches.error && <Loading what={t('loading')} />}
      <View role="list" className="gap-2">
        {sketches.data?.sketches.map(({ dishId, name, stationKind }) => (
          <View key={dishId} role="listitem">
            <Button
              label={name}
              detail={t(`kinds.${stationKind}`)}
              isBusy={take.isPending && take.variables === dishId}
              onPress={() =>
                take.mutate(dishId, {
                  onSuccess: () => {
                    toast(t('house.dish.taken', { name }))
                    router.push('/setup/first')
                  },
                })
              }
            />
          </View>
        ))}
      </View>
    </HousePage>
  )
}
