import type { KitchenIngredient } from 'contract/ingredient'
import { moneyText, readMoney } from 'core/measure/money'
import { priceOn } from 'core/book/balance/cost'
import { useState } from 'react'
import { TextInput, View } from 'react-native'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { useToday } from '../useToday'
import { useSaveIngredient } from './useSaveIngredient'

/** What the known pack costs, edited in place: Enter or leaving the field keeps it from today on; nothing typed changes nothing. */
export function PriceCell({ row, currency }: { row: KitchenIngredient; currency: string }) {
  const t = useWords('book')
  const day = useToday()
  const { price } = useSaveIngredient()
  const known = priceOn(row.prices, day)
  const written = known ? moneyText(known.priceMinor, currency) : ''
  const [typed, setTyped] = useState<string | null>(null)
  if (!known)
    return (
      <Text size="small" tone="ash" stretch="slim">
        {t('ingredient.noPrice')}
      </Text>
    )
  const keep = () => {
    if (typed === null || typed.trim() === written) return setTyped(null)
    const read = readMoney(typed, currency)
    if ('fault' in read) return toast(t(`ingredient.priceFaults.${read.fault}`))
    if (read.minor !== null)
      price.mutate(
        { id: row.id, price: { ...known, fromDay: day, priceMinor: read.minor } },
        { onSuccess: () => toast(t('ingredient.priceKept', { name: row.name })) },
      )
    setTyped(null)
  }
  const isWrong = typed !== null && 'fault' in readMoney(typed, currency)
  const alone = {
    onKeyDown: (event: Event) => event.stopPropagation(),
    onClick: (event: Event) => event.stopPropagation(),
  }
  return (
    <View className="w-full flex-row items-center justify-end gap-1.5" {...(alone as object)}>
      <Text size="small" tone="ash" stretch="slim" numberOfLines={1} className="min-w-0 shrink">
        {known.packName}
      </Text>
      <TextInput
        aria-label={t('ingredient.priceOfPack', { name: row.name, pack: known.packName })}
        aria-invalid={isWrong}
        value={typed ?? written}
        inputMode="decimal"
        maxLength={12}
        onChangeText={setTyped}
        onBlur={keep}
        onSubmitEditing={keep}
        className={`ring-focus min-h-9 w-20 rounded border bg-ground px-1.5 text-right font-sans text-body text-rice ${isWrong ? 'dashed border-rice' : 'border-line'}`}
      />
    </View>
  )
}
