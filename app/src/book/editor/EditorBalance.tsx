import type { Component } from 'core/book/dish'
import type { Style } from 'core/book/balance/style'
import { memo, useMemo } from 'react'
import { View } from 'react-native'
import { BalancePanel } from '../balance/BalancePanel'
import { judgeDish } from '../balance/judge'
import { MoneyAndFood, RepairLine, type RepairChanges } from '../balance/MoneyAndFood'
import { StandardNotice } from '../dish/StandardNotice'
import { Heading } from '../BookParts'
import type { Shelf } from '../useShelf'
import { useToday } from '../useToday'
import { useWords } from '../../words/i18n'
import { readMoney } from 'core/measure/money'
import type { DraftHead } from '../draft/draft'

/** The balance of what is typed, as it is typed; the smallest repair one touch away. */
export const EditorBalance = memo(function EditorBalance(props: {
  head: DraftHead
  components: readonly Component[]
  shelf: Shelf
  style: Style
  currency: string
  onTake: (changes: RepairChanges) => void
}) {
  const { head, components, shelf, style, currency, onTake } = props
  const t = useWords('book')
  const day = useToday()
  const judged = useMemo(
    () => judgeDish(components, head.portionRiceG || 1, shelf, style, head.schools.oil, day),
    [components, head.portionRiceG, head.schools.oil, shelf, style, day],
  )
  const minorOf = (text: string) => {
    const read = readMoney(text, currency)
    return 'minor' in read && read.minor !== null ? read.minor : undefined
  }
  if (components.length === 0) return null
  return (
    <View className="gap-2">
      <Heading>{t('dish.balance', { style: style.name })}</Heading>
      <StandardNotice standard={head.standard ?? undefined} components={components} />
      <BalancePanel judged={judged} style={style} isNarrow />
      <MoneyAndFood
        judged={judged}
        currency={currency}
        priceMinor={minorOf(head.price)}
        ceilingMinor={minorOf(head.ceiling)}
      />
      <RepairLine judged={judged} style={style} onTake={onTake} />
    </View>
  )
})
