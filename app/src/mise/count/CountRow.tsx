import type { StockRow } from 'contract/mise/stock'
import { stockG } from 'core/mise/stock/foldStock'
import { memo } from 'react'
import { Pressable, View } from 'react-native'
import { openSound } from '../../device/signal'
import { Diamond } from '../../ui/icons'
import { Text } from '../../ui/Text'
import { capital, formatMassG } from '../../words/format'
import { useWords } from '../../words/i18n'

type Props = {
  row: StockRow
  isCounted: boolean
  onRight: (row: StockRow, massG: number) => void
  onOpen: (itemId: string) => void
}

/** One line of the walk: the knuckle says "as expected", a tap on the name opens the number. */
export const CountRow = memo(function CountRow({ row, isCounted, onRight, onOpen }: Props) {
  const t = useWords('mise')
  const thereG = Math.round(stockG(row) * 10) / 10
  const mass = formatMassG(thereG)
  const name = `${capital(row.name)} ${row.form}`.trim()
  return (
    <View role="listitem" className="flex-row items-stretch gap-2 border-b border-edge">
      <Pressable
        role="button"
        aria-label={t('count.otherName', { name })}
        onPress={() => onOpen(row.itemId)}
        className="ring-focus min-h-16 min-w-0 flex-1 justify-center py-1"
      >
        <View className="flex-row items-center gap-2">
          {row.otherCount && <Diamond sizePx={12} />}
          <Text size="step" weight="semi" stretch="slim" className="min-w-0 flex-1">
            {name}
          </Text>
        </View>
        <Text tone="ash" stretch="slim">
          {detailOf(row, t)}
        </Text>
      </Pressable>
      <Pressable
        role="button"
        aria-label={t('count.rightName', { name, mass })}
        aria-pressed={isCounted}
        onPress={() => {
          openSound()
          onRight(row, thereG)
        }}
        className="ring-focus w-[104px] items-center justify-center rounded-lg"
      >
        <View
          className={`my-1 w-full flex-1 items-center justify-center rounded-lg border ${isCounted ? 'border-rice bg-plate' : 'border-line'}`}
        >
          <Text size="step" weight="bold" stretch="narrow">
            {isCounted ? `✓ ${mass}` : mass}
          </Text>
        </View>
      </Pressable>
    </View>
  )
})

function detailOf(row: StockRow, t: ReturnType<typeof useWords<'mise'>>): string {
  const { lastCount } = row
  if (lastCount === null || lastCount.expectedG === null) {
    const first = row.lots[0]
    return first
      ? first.name
      : stockG(row) < 0.5
        ? t('count.expectedNone')
        : t('count.expected', { mass: formatMassG(stockG(row)) })
  }
  const gapG = lastCount.massG - lastCount.expectedG
  if (Math.abs(gapG) < 1) return t('count.found', { mass: formatMassG(lastCount.massG) })
  const gap = t(gapG < 0 ? 'count.gapLess' : 'count.gapMore', { mass: formatMassG(Math.abs(gapG)) })
  return `${t('count.found', { mass: formatMassG(lastCount.massG) })}, ${gap}`
}
