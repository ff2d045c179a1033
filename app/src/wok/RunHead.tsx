import type { Run } from 'contract/run'
import { View } from 'react-native'
import { WhoButton } from '../people/WhoButton'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import { Countdown } from './Countdown'
import type { Cook } from './useCook'
import { useMassWords } from '../setup/useMassWords'

/** What is cooked, how much of it, where and for whom, and when it is up. */
export function RunHead({ run, cook, stationName }: { run: Run; cook: Cook; stationName: string }) {
  const { mass } = useMassWords()
  const t = useWords('wok')
  const portions = run.parts.reduce((sum, part) => sum + part.portions, 0)
  const numbers = [...new Set(run.parts.map((part) => part.ticketNumber))]
  const isRehearsed = numbers.every((one) => one === 0) && !run.isUnconfirmed
  const about = [
    t('head.portions', { count: portions }),
    mass(run.score.batchMassG),
    stationName,
    ...(isRehearsed ? [] : [t('head.tickets', { count: numbers.length, list: numbers.join(', ') })]),
  ]
  const isStopped = cook.state.status === 'stopped'
  return (
    <View className="flex-row items-center justify-between gap-3 border-b border-edge bg-plate px-4 py-2">
      <View className="min-w-0 flex-1">
        <Text size="body" weight="bold" numberOfLines={1}>
          {run.dishName}
        </Text>
        <Text size="small" tone="ash" stretch="slim" numberOfLines={1}>
          {about.join(' · ')}
        </Text>
      </View>
      {!isRehearsed && <WhoButton className="max-w-[88px] items-start" />}
      <View className="items-end">
        {cook.state.endedMs === null && <Countdown untilMs={cook.state.upMs} mayPass={false} size="title" />}
        <Text size="small" tone="ash" stretch="narrow">
          {isStopped ? t('head.stopped') : cook.state.endedMs === null ? t('head.toPickUp') : t('head.up')}
        </Text>
      </View>
    </View>
  )
}
