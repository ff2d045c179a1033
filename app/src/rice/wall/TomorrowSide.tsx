import { useRouter } from 'expo-router'
import { useState, type ReactNode } from 'react'
import { ScrollView, View } from 'react-native'
import { startBy } from 'core/rice/plan/planRice'
import { dayAfter, localDay } from 'core/time/localTime'
import { valueOf } from '../../device/worked'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import type { ShelfProps } from '../shelf/Shelf'
import { Heap } from '../tomorrow/Heap'
import { useDayRice } from '../tomorrow/useDayRice'
import { useRicePlan, useTonight } from '../useRicePlan'
import { useMassWords } from '../../setup/useMassWords'

/** Tomorrow's heap beside tonight's wall, the one thing to do, and the ways to the rest of rice. */
export function TomorrowSide({ lots, kitchen, house, nowMs, children }: ShelfProps & { children: ReactNode }) {
  const { bulkParts } = useMassWords()
  const t = useWords('rice')
  const router = useRouter()
  const [day] = useState(() => dayAfter(localDay(nowMs, kitchen.timeZone)))
  const plan = useRicePlan(day).data
  const tonight = useTonight().data
  const rice = valueOf(useDayRice({ plan, tonight, lots, kitchen, house, nowMs }))
  const toCook = bulkParts(rice?.plan.toCookG ?? 0)
  const start = startBy(rice?.plan.latestStartMs ?? null, nowMs)
  const dayTime = (ms: number) => `${formatDay(ms, kitchen.timeZone)} ${formatTime(ms, kitchen.timeZone)}`
  const ways = [
    ['goTomorrow', '/rice/tomorrow'],
    ['goAdd', '/rice/add'],
    ['goPast', '/rice/past'],
  ] as const
  return (
    <View className="w-[248px] border-l border-edge bg-plate">
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="gap-2 p-4">
          <Text role="heading" aria-level={2} size="step" weight="bold" stretch="wide">
            {t('tomorrow.tomorrow')}
          </Text>
          {rice ? (
            <>
              <View className="flex-row items-baseline gap-1">
                <Text size="action" weight="bold" stretch="narrow">
                  {toCook.figures}
                </Text>
                <Text weight="bold">{t('wall.toCook', { unit: toCook.unit })}</Text>
              </View>
              <Text stretch="slim">{t('wall.portions', { n: rice.plan.portions })}</Text>
              <View className="items-center">
                <Heap day={rice} />
              </View>
              <Text stretch="slim">
                {start.kind === 'by'
                  ? t('wall.startBy', { time: dayTime(start.atMs) })
                  : t(`wall.${start.kind}`, { by: dayTime(rice.coldByMs) })}
              </Text>
            </>
          ) : (
            <Text tone="ash">{t('working')}</Text>
          )}
        </View>
      </ScrollView>
      <View className="gap-2 border-t border-edge p-3">
        {ways.map(([word, href]) => (
          <Button key={word} size="body" label={t(word)} onPress={() => router.push(href)} />
        ))}
        {children}
      </View>
    </View>
  )
}
