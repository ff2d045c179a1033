import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse } from 'contract/riceHouse'
import { bulkKgPerL, GRAINS } from 'core/rice/cookMethod'
import { isFarFromRule } from 'core/rice/loads'
import type { DayRicePlan } from 'core/rice/plan/ricePlanFor'
import { volumeUnitML } from 'core/measure/units'
import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { formatCount } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useMassWords } from '../../setup/useMassWords'

/** Each load as the prep cook measures it: rice and water, by mass and in the kitchen's cups and litres. */
export function LoadFigures({ rice, house, kitchen }: { rice: DayRicePlan; house: RiceHouse; kitchen: Kitchen }) {
  const { mass, bulk, bulkParts } = useMassWords()
  const t = useWords('rice')
  const load = rice.plan.loads[0]
  if (!load) return null
  const dry = bulkParts(load.dryMassG, 2)
  const water = bulkParts(load.waterG, 2)
  const { blend, wash } = house.policy
  const vessel = house.vessels.find((one) => one.id === rice.vessel.id)
  const grains = GRAINS.filter((grain) => (blend[grain] ?? 0) > 0)
  const blendWords = grains
    .map((grain) => (grains.length > 1 ? `${Math.round((blend[grain] ?? 0) * 100)} % ` : '') + t(`grains.${grain}`))
    .join(', ')
  const riceML = load.dryMassG / bulkKgPerL(blend)
  const cupML = volumeUnitML('cup', kitchen.tools.system) ?? 250
  return (
    <View className="gap-1 border-t border-edge pt-3">
      <View className="flex-row flex-wrap items-baseline justify-between gap-x-3">
        <Text role="heading" aria-level={2} weight="bold">
          {t('tomorrow.each', { count: rice.plan.loads.length })}
        </Text>
        <Text tone="ash" stretch="slim">
          {t('tomorrow.cook', { vessel: vessel?.name ?? '', cook: load.cookS / 60, rest: load.restS / 60 })}
        </Text>
      </View>
      <View className="flex-row gap-4">
        <Amount
          big={dry.figures}
          unit={t('tomorrow.rice', { unit: dry.unit })}
          small={t('tomorrow.blend', { blend: blendWords, wash: t(`washes.${wash}`) })}
        />
        <Amount
          big={water.figures}
          unit={t('tomorrow.water', { unit: water.unit })}
          small={t('tomorrow.byRule', {
            ratio: (load.waterG / load.dryMassG).toFixed(2),
            rule: bulk(load.ruleWaterG, 2),
            steam: mass(load.steamG),
          })}
        />
      </View>
      {isFarFromRule(load) && (
        <Text tone="ash" stretch="slim">
          {t('tomorrow.farFromRule', {
            rule: bulk(load.ruleWaterG, 2),
            percent: Math.round(load.waterFraction * 100),
          })}
        </Text>
      )}
      <Text stretch="slim">
        {[
          t('tomorrow.measures', {
            cups: formatCount(Math.round((riceML * 4) / cupML) / 4),
            litres: (load.waterG / 1000).toFixed(1),
          }),
          load.heldWaterG > 0 ? t('tomorrow.waterOnGrain', { mass: mass(load.heldWaterG) }) : '',
          t('tomorrow.volume', { litres: load.cookedVolumeL.toFixed(1), vessel: vessel?.volumeL ?? '' }),
        ]
          .filter(Boolean)
          .join(' · ')}
      </Text>
    </View>
  )
}

function Amount({ big, unit, small }: { big: string; unit: string; small: string }) {
  return (
    <View className="min-w-0 flex-1">
      <View className="flex-row items-baseline gap-1">
        <Text size="figure" weight="bold" stretch="narrow">
          {big}
        </Text>
        <Text weight="semi" stretch="slim">
          {unit}
        </Text>
      </View>
      <Text size="small" tone="ash" stretch="slim">
        {small}
      </Text>
    </View>
  )
}
