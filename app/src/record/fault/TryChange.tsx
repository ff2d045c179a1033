import type { Run } from 'contract/run'
import type { LikelyCause } from 'core/record/faults/rank'
import { tryNext } from 'core/record/faults/tryNext'
import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { useDishes } from '../../book/useDishes'
import { useMassWords } from '../../setup/useMassWords'
import { Button } from '../../ui/Button'
import { Loading } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { useRun } from '../../wok/useRuns'

/** The one change, by the run that shows the cause most: a draft of the dish, a smaller batch at the station, or something to do. */
export function TryChange({ likely }: { likely: LikelyCause }) {
  const t = useWords('record')
  const { run } = useRun(likely.runId)
  if (!run) return <Loading what={t('fault.loading')} />
  return <Change likely={likely} run={run} />
}

function Change({ likely, run }: { likely: LikelyCause; run: Run }) {
  const { mass } = useMassWords()
  const t = useWords('record')
  const router = useRouter()
  const dish = useDishes().data?.dishes.find((one) => one.id === run.dishId)
  const portions = run.parts.reduce((sum, part) => sum + part.portions, 0)
  const change = tryNext(likely, run.score, dish?.portionRiceG ?? run.score.riceMassG / portions)
  switch (change.kind) {
    case 'amount':
      return (
        <Button
          kind="main"
          isTall
          label={t('fault.try.amount', { to: mass(change.toG), name: change.name })}
          detail={t('fault.try.amountDetail', { from: mass(change.fromG) })}
          className="flex-1"
          onPress={() => router.push(`/book/${run.dishId}/edit?set=${change.componentId}&to=${change.toG}`)}
        />
      )
    case 'smaller':
      return (
        <Button
          kind="main"
          isTall
          label={t('fault.try.smaller', { mass: mass(change.riceG) })}
          detail={t('fault.try.smallerDetail')}
          className="flex-1"
          onPress={() => router.push(`/setup/station/${run.stationId}`)}
        />
      )
    case 'do': {
      const say = t as unknown as (keys: string[]) => string
      return (
        <View className="flex-1 justify-center rounded-lg border border-edge p-3">
          <Text size="step" weight="bold" stretch="slim">
            {say([`fault.try.do.${change.cause}`, 'fault.try.do.other'])}
          </Text>
        </View>
      )
    }
  }
}
