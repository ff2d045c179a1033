import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import type { Style } from 'core/book/balance/style'
import { allergenListOf } from 'core/book/allergens'
import type { Component } from 'core/book/dish'
import { staysIn, varyDish } from 'core/book/variation/vary'
import { useMemo } from 'react'
import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { capital, formatMoney, formatPercent } from '../../words/format'
import { useWords } from '../../words/i18n'
import type { Shelf } from '../useShelf'
import { plainBatch, stationOf, useBatchScores } from '../../wok/useBatchScores'
import { judgeDish } from '../balance/judge'

/** Every written variation with what it does: seconds, salt, cost and price against the dish as written. */
export function Variations(props: { dish: Dish; kitchen: Kitchen; shelf: Shelf; style: Style; day: string }) {
  const t = useWords('book')
  const name = useWords('ui')
  const { dish, kitchen } = props
  if (dish.modifiers.length === 0) return <Text tone="ash">{t('dish.noVariations')}</Text>
  return (
    <View role="list" className="flex-row flex-wrap gap-x-6 gap-y-2">
      {dish.modifiers.map((modifier) => (
        <View key={modifier.id} role="listitem" className="min-w-[150px] flex-1 border-l border-edge pl-3">
          <Text weight="bold" stretch="slim">
            {modifier.name}
          </Text>
          <Effect {...props} modifierId={modifier.id} />
          {staysIn(dish, modifier, allergenListOf(kitchen.ruleSet)).map(({ allergen, components }) => (
            <Text key={allergen} weight="bold" stretch="slim">
              {t('staysIn', {
                allergen: capital(name(`allergens.${allergen}`)),
                components: components.map((one) => one.name).join(', '),
              })}
            </Text>
          ))}
        </View>
      ))}
    </View>
  )
}

function Effect(props: Parameters<typeof Variations>[0] & { modifierId: string }) {
  const { dish, kitchen, shelf, style, day, modifierId } = props
  const t = useWords('book')
  const station = stationOf(kitchen, dish)
  const scored = useBatchScores(
    [[], [modifierId]].map((modifiers) => ({ dish, batch: plainBatch(1, modifiers), station })),
    kitchen,
  )
  const [beforeS = null, afterS = null] = scored.map((one) =>
    one.kind === 'value' && one.value.kind === 'score' ? one.value.score.totalS : null,
  )
  const effect = useMemo(() => {
    const varied = varyDish(dish, [modifierId], [], allergenListOf(kitchen.ruleSet))
    if (varied.kind !== 'varied') return null
    const judge = (components: readonly Component[]) =>
      judgeDish(components, dish.portionRiceG, shelf, style, dish.schools.oil, day)
    const before = judge(dish.components)
    const after = judge(varied.components)
    return {
      moreS: beforeS !== null && afterS !== null ? Math.round(afterS - beforeS) : null,
      saltFraction: after.balance.metrics.saltFraction,
      costMinor: before.costMinor !== null && after.costMinor !== null ? after.costMinor - before.costMinor : null,
    }
  }, [dish, kitchen, shelf, style, day, modifierId, beforeS, afterS])
  if (scored.some((one) => one.kind === 'working'))
    return (
      <Text size="small" tone="ash">
        {t('dish.workingEffect')}
      </Text>
    )
  if (!effect) return null
  const { moreS, saltFraction, costMinor } = effect
  const priceMinor = dish.modifiers.find((one) => one.id === modifierId)?.priceMinor
  const signed = (minor: number) =>
    `${minor < 0 ? '−' : '+'}${formatMoney(Math.abs(Math.round(minor)), kitchen.currency)}`
  const words = [
    ...(moreS === null
      ? []
      : [moreS === 0 ? t('dish.noChange') : t(moreS > 0 ? 'dish.slower' : 'dish.faster', { n: Math.abs(moreS) })]),
    t('dish.saltThen', { percent: formatPercent(saltFraction) }),
    ...(costMinor === null || Math.abs(costMinor) < 0.5 ? [] : [`${t('dish.cost')} ${signed(costMinor)}`]),
    ...(priceMinor ? [signed(priceMinor)] : []),
  ]
  return (
    <Text size="small" tone="ash" stretch="slim">
      {words.join(' · ')}
    </Text>
  )
}
