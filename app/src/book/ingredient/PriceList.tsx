import type { KitchenIngredient, Price } from 'contract/ingredient'
import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { formatMoney } from '../../words/format'
import { useWords } from '../../words/i18n'
import { PriceForm } from './PriceForm'
import { Heading } from '../BookParts'
import { useMassWords } from '../../setup/useMassWords'

const SHOWN = 6

/** What it cost since when, and a new price from today. */
export function PriceList(props: {
  row: KitchenIngredient
  currency: string
  day: string
  isBusy: boolean
  onSave: (price: Price) => void
}) {
  const { mass } = useMassWords()
  const { row, currency } = props
  const t = useWords('book')
  return (
    <View className="gap-2">
      <Heading>{t('ingredient.prices')}</Heading>
      {row.prices.length === 0 && <Text>{t('ingredient.noPrice')}</Text>}
      <View role="list">
        {row.prices.slice(0, SHOWN).map((one) => (
          <Text key={one.fromDay} role="listitem" stretch="slim">
            {t('ingredient.priceLine', {
              price: formatMoney(one.priceMinor, currency),
              pack: one.packName,
              mass: mass(one.packG),
              day: one.fromDay,
            })}
          </Text>
        ))}
      </View>
      <Text size="small" tone="ash">
        {t('ingredient.addPrice')}
      </Text>
      <PriceForm {...props} />
    </View>
  )
}
