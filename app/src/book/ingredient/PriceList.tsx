import type { KitchenIngredient, Price } from 'contract/ingredient'
import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Text } from '../../ui/Text'
import { formatMassG, formatMoney } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Heading } from '../BookParts'
import { readMoney } from 'core/measure/money'

const SHOWN = 6

/** What it cost since when, and a new price from today. */
export function PriceList(props: {
  row: KitchenIngredient
  currency: string
  day: string
  isBusy: boolean
  onSave: (price: Price) => void
}) {
  const { row, currency, day, isBusy, onSave } = props
  const t = useWords('book')
  const last = row.prices[0]
  const [pack, setPack] = useState(last?.packName ?? '')
  const [packG, setPackG] = useState(last ? String(last.packG) : '')
  const [price, setPrice] = useState('')
  const read = readMoney(price, currency)
  const grams = Number(packG.replace(',', '.'))
  const fault = 'fault' in read ? t(`ingredient.priceFaults.${read.fault}`) : undefined
  const minor = 'minor' in read ? read.minor : null
  const isSaid = minor !== null && grams > 0 && pack.trim() !== ''
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
              mass: formatMassG(one.packG),
              day: one.fromDay,
            })}
          </Text>
        ))}
      </View>
      <Text size="small" tone="ash">
        {t('ingredient.addPrice')}
      </Text>
      <View className="flex-row flex-wrap gap-2">
        <Field
          label={t('ingredient.pack')}
          value={pack}
          maxLength={80}
          className="min-w-[150px] flex-1"
          onChange={setPack}
        />
        <Field
          label={t('ingredient.packG')}
          value={packG}
          inputMode="decimal"
          className="w-[130px]"
          onChange={setPackG}
        />
        <Field
          label={t('ingredient.priceOf')}
          value={price}
          inputMode="decimal"
          fault={fault}
          className="w-[130px]"
          onChange={setPrice}
        />
      </View>
      <Button
        label={t('ingredient.savePrice')}
        isBusy={isBusy}
        disabledBecause={isSaid ? undefined : t('ingredient.priceOf')}
        onPress={() => {
          if (minor !== null) onSave({ fromDay: day, packName: pack.trim(), packG: grams, priceMinor: minor })
          setPrice('')
        }}
      />
    </View>
  )
}
