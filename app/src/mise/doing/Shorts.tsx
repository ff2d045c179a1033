import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { capital } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Heading } from '../MisePage'
import { useDishNames } from '../useDishNames'
import type { Mise } from '../useKitchenPlan'
import { useShorts } from './useShorts'
import { useMassWords } from '../../setup/useMassWords'

/** What is short: for how many portions it lasts, and what the line must know. */
export function Shorts({ mise }: { mise: Mise }) {
  const { mass } = useMassWords()
  const t = useWords('mise')
  const { shorts } = useShorts(mise)
  const dishName = useDishNames()
  if (shorts.length === 0) return null
  return (
    <View>
      <Heading>{t('doing.short')}</Heading>
      <View role="list">
        {shorts.map((short) => (
          <View key={short.itemId} role="listitem" className="border-b border-edge py-2">
            <View className="flex-row items-baseline justify-between gap-3">
              <Text size="step" weight="bold" stretch="slim" className="min-w-0 flex-1">
                {capital(short.name)}
              </Text>
              <Text size="step" weight="bold" stretch="narrow">
                {t('doing.shortOf', { portions: short.portions, of: short.ofPortions })}
              </Text>
            </View>
            <Text stretch="slim">
              {t('doing.tellLine', {
                list: short.dishes
                  .map(({ dishId, portions, ofPortions }) =>
                    t('doing.dishShort', { dish: dishName(dishId), portions, of: ofPortions }),
                  )
                  .join(', '),
              })}
            </Text>
            <Text tone="ash" stretch="slim">
              {t('doing.shortDetail', { have: mass(short.willHaveG), want: mass(short.wantedG) })}
            </Text>
          </View>
        ))}
      </View>
    </View>
  )
}
