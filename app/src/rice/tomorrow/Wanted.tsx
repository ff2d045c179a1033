import { likelyRange } from 'core/rice/plan/forecast'
import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse } from 'contract/riceHouse'
import { MAX_FRIDGE_DEPTH_M } from 'core/rice/cooling/predictCooling'
import type { DayRicePlan } from 'core/rice/plan/ricePlanFor'
import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { centimetres } from '../lotWords'
import { Heap } from './Heap'
import { useMassWords } from '../../setup/useMassWords'

/** How much, and in one line why so much. */
export function Wanted({
  rice,
  house,
  kitchen,
  isWide,
}: {
  rice: DayRicePlan
  house: RiceHouse
  kitchen: Kitchen
  isWide: boolean
}) {
  const { mass, bulk, bulkParts } = useMassWords()
  const t = useWords('rice')
  const { planned, plan, usableG } = rice
  const wanted = bulkParts(plan.wantedG)
  const { shortageCost, wasteCost, tray } = house.policy
  const dryG = plan.loads.reduce((sum, load) => sum + load.dryMassG, 0)
  const range = likelyRange(planned.expected, planned.spread)
  const low = Math.round(range.low)
  const high = Math.round(range.high)
  const money = (cost: number) => new Intl.NumberFormat(kitchen.locale, { minimumFractionDigits: 2 }).format(cost)
  return (
    <View className="flex-row gap-4 border-t border-edge pt-3">
      <View>
        <Heap day={rice} />
        <Text size="small" tone="ash" stretch="slim" className="w-[176px]">
          {t('tomorrow.likely')}
        </Text>
      </View>
      <View className="min-w-0 flex-1 gap-1">
        <View className="flex-row flex-wrap items-baseline gap-x-2">
          <Text size="title" weight="bold" stretch="narrow">
            {Math.round(planned.expected)}
          </Text>
          <Text stretch="slim">{t('tomorrow.range', { low, high })}</Text>
        </View>
        <Text tone="ash">{t('tomorrow.wanted')}</Text>
        <View className="flex-row items-baseline gap-1">
          <Text size={isWide ? 'action' : 'figure'} weight="bold" stretch="narrow">
            {wanted.figures}
          </Text>
          <Text size="step" weight="bold">
            {wanted.unit}
          </Text>
        </View>
        <Text stretch="slim">{t('tomorrow.forPortions', { n: plan.portions, mass: mass(planned.portionG) })}</Text>
        <Text tone="ash" stretch="slim">
          {t('tomorrow.margin', {
            share: Math.round(plan.share * 100),
            shortage: money(shortageCost),
            waste: money(wasteCost),
          })}
        </Text>
        <Text weight="bold" stretch="slim">
          {t('tomorrow.left', { mass: bulk(usableG) })}
        </Text>
        <Text size="step" weight="bold" stretch="slim">
          {t('tomorrow.toCook', { mass: bulk(plan.toCookG) })}
        </Text>
        {dryG > 0 && (
          <Text tone="ash" stretch="slim">
            {[
              t('tomorrow.dry', { mass: bulk(dryG), yield: (plan.toCookG / dryG).toFixed(2) }),
              t('tomorrow.trays', { count: plan.trays, tray: tray.name, cm: centimetres(plan.depthM) }),
            ].join(', ')}
          </Text>
        )}
        <Text size="small" tone="ash" stretch="slim">
          {plan.largestPassingDepthM > 0
            ? t('tomorrow.largest', {
                cm: centimetres(plan.largestPassingDepthM),
                fridge: centimetres(MAX_FRIDGE_DEPTH_M),
              })
            : t('tomorrow.noneDeep')}
        </Text>
      </View>
    </View>
  )
}
