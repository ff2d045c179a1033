import type { StockRow } from 'contract/mise/stock'
import { stockG } from 'core/mise/stock/foldStock'
import { memo, useRef, useState } from 'react'
import { Pressable, View } from 'react-native'
import { openSound } from '../../device/signal'
import { Diamond } from '../../ui/icons'
import { Text } from '../../ui/Text'
import { capital } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useMassWords, type MassWords } from '../../setup/useMassWords'

type Props = {
  row: StockRow
  isCounted: boolean
  onRight: (row: StockRow, massG: number) => void
  onOpen: (itemId: string) => void
}

/** One line of the walk: the knuckle says "as expected", a tap on the name opens the number. */
export const CountRow = memo(function CountRow({ row, isCounted, onRight, onOpen }: Props) {
  const words = useMassWords()
  const t = useWords('mise')
  const thereG = Math.round(stockG(row) * 10) / 10
  const name = `${capital(row.name)} ${row.form}`.trim()
  return (
    <View className="flex-row items-stretch gap-2 border-b border-edge">
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
          {detailOf(row, t, words)}
        </Text>
      </Pressable>
      <AsExpected row={row} name={name} massG={thereG} isCounted={isCounted} onRight={onRight} />
    </View>
  )
})

type Mark = Pick<Props, 'row' | 'isCounted' | 'onRight'> & { name: string; massG: number }

const UNSAID_MS = 600

/**
 * The mark shows as the finger leaves the glass; keeping and sending what it says comes after it is drawn. Where no press
 * follows (the finger slid off), the mark goes again.
 */
function AsExpected({ row, name, massG, isCounted, onRight }: Mark) {
  const words = useMassWords()
  const t = useWords('mise')
  const [marked, setMarked] = useState<StockRow | null>(null)
  const isDown = useRef(false)
  const unsaid = useRef<ReturnType<typeof setTimeout> | null>(null)
  const isMarked = isCounted || marked === row
  const mass = words.mass(massG)
  const show = () => {
    if (!isDown.current) return
    isDown.current = false
    setMarked(row)
    unsaid.current = setTimeout(() => setMarked(null), UNSAID_MS)
  }
  const say = () => {
    if (unsaid.current) clearTimeout(unsaid.current)
    setMarked(row)
    requestAnimationFrame(() =>
      setTimeout(() => {
        openSound()
        onRight(row, massG)
      }),
    )
  }
  return (
    <View
      onPointerDown={() => (isDown.current = true)}
      onPointerUp={show}
      onPointerCancel={() => (isDown.current = false)}
    >
      <Pressable
        role="button"
        aria-label={t('count.rightName', { name, mass })}
        aria-pressed={isMarked}
        onPress={say}
        className="ring-focus w-[104px] flex-1 items-center justify-center rounded-lg"
      >
        <View
          className={`my-1 w-full flex-1 items-center justify-center rounded-lg border ${isMarked ? 'border-rice bg-plate' : 'border-line'}`}
        >
          <Text size="step" weight="bold" stretch="narrow">
            {isMarked ? `✓ ${mass}` : mass}
          </Text>
        </View>
      </Pressable>
    </View>
  )
}

function detailOf(row: StockRow, t: ReturnType<typeof useWords<'mise'>>, { mass }: MassWords): string {
  const { lastCount } = row
  if (lastCount === null || lastCount.expectedG === null) {
    const first = row.lots[0]
    return first
      ? first.name
      : stockG(row) < 0.5
        ? t('count.expectedNone')
        : t('count.expected', { mass: mass(stockG(row)) })
  }
  const gapG = lastCount.massG - lastCount.expectedG
  if (Math.abs(gapG) < 1) return t('count.found', { mass: mass(lastCount.massG) })
  const gap = t(gapG < 0 ? 'count.gapLess' : 'count.gapMore', { mass: mass(Math.abs(gapG)) })
  return `${t('count.found', { mass: mass(lastCount.massG) })}, ${gap}`
}
