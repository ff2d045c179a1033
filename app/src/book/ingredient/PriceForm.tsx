import type { KitchenIngredient, Price } from 'contract/ingredient'
import { readMoney } from 'core/measure/money'
import { View } from 'react-native'
import { z } from 'zod'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { typedNumber, typedWords } from '../../ui/form/typed'
import { typedGrams } from '../../ui/form/typedUnit'
import { useValidForm } from '../../ui/form/useValidForm'
import { useWords } from '../../words/i18n'
import { fineUnitG } from 'core/measure/scaleUnit'
import { useMassWords } from '../../setup/useMassWords'

const MAX_PACK_G = 1_000_000

/** What a pack holds and costs from today on. */
export function PriceForm(props: {
  row: KitchenIngredient
  currency: string
  day: string
  isBusy: boolean
  onSave: (price: Price) => void
}) {
  const { row, currency, day, isBusy, onSave } = props
  const t = useWords('book')
  const { weighsIn } = useMassWords()
  const unit = typedGrams(weighsIn)
  const last = row.prices[0]
  const schema = z.object({
    packName: typedWords(t('ingredient.packFault')),
    packG: typedNumber(t('ingredient.packGFault', { unit: weighsIn }), {
      most: MAX_PACK_G / fineUnitG(weighsIn),
      isAbove: true,
    }),
    price: z.string().transform((text, context) => {
      const read = readMoney(text, currency)
      if ('minor' in read && read.minor !== null) return read.minor
      context.addIssue({
        code: 'custom',
        message: t(`ingredient.priceFaults.${'fault' in read ? read.fault : 'not-a-price'}`),
      })
      return z.NEVER
    }),
  })
  const form = useValidForm(schema, {
    packName: last?.packName ?? '',
    packG: unit.show(last?.packG),
    price: '',
  })
  const save = form.handleSubmit(({ packName, packG, price }) => {
    onSave({ fromDay: day, packName, packG: unit.read(packG, last?.packG), priceMinor: price })
    form.reset({ packName, packG: String(packG), price: '' })
  })
  return (
    <View className="gap-2">
      <View className="flex-row flex-wrap gap-2">
        <FormField
          control={form.control}
          name="packName"
          label={t('ingredient.pack')}
          maxLength={80}
          className="min-w-[150px] flex-1"
        />
        <FormField
          control={form.control}
          name="packG"
          label={t('ingredient.packG', { unit: weighsIn })}
          inputMode="decimal"
          className="w-[130px]"
        />
        <FormField
          control={form.control}
          name="price"
          label={t('ingredient.priceOf')}
          inputMode="decimal"
          className="w-[130px]"
        />
      </View>
      <Button label={t('ingredient.savePrice')} isBusy={isBusy} onPress={() => void save()} />
    </View>
  )
}
