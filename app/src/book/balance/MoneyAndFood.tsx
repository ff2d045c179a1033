import { valueOf } from '../../device/worked'
import { marginFraction } from 'core/book/balance/cost'
import type { Style } from 'core/book/balance/style'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { formatMoney } from '../../words/format'
import { useWords } from '../../words/i18n'
import type { Judged } from './judge'
import { useRepair } from './useRepair'
import { useMassWords } from '../../setup/useMassWords'

const KJ_PER_KCAL = 4.184

/** What a portion costs against its ceiling and its price, and what it feeds. */
export function MoneyAndFood(props: {
  judged: Judged
  currency: string
  priceMinor: number | undefined
  ceilingMinor: number | undefined
}) {
  const { judged, currency, priceMinor, ceilingMinor } = props
  const t = useWords('book')
  const { costMinor, unpriced, balance } = judged
  const money = (minor: number) => formatMoney(minor, currency)
  const isOver = costMinor !== null && ceilingMinor !== undefined && costMinor > ceilingMinor
  const margin = costMinor !== null && priceMinor ? Math.round(marginFraction(priceMinor, costMinor) * 100) : null
  const grams = (value: number) => `${Math.round(value)} g`
  return (
    <View className="gap-1">
      <View className="flex-row flex-wrap items-baseline gap-x-3">
        <Text className="w-[84px]">{t('dish.cost')}</Text>
        <Text weight="bold" stretch="narrow">
          {costMinor === null ? '–' : money(costMinor)}
        </Text>
        <Text
          size="small"
          tone={isOver || costMinor === null ? 'rice' : 'ash'}
          weight={isOver ? 'bold' : 'normal'}
          stretch="slim"
          className="flex-1"
        >
          {costMinor === null
            ? t('dish.noPrice', { list: unpriced.join(', ') })
            : isOver
              ? t('dish.costOver', { by: money(costMinor - ceilingMinor) })
              : margin !== null && priceMinor
                ? t('dish.costLine', {
                    ceiling: ceilingMinor === undefined ? '–' : money(ceilingMinor),
                    margin,
                    price: money(priceMinor),
                  })
                : ''}
        </Text>
      </View>
      <View className="flex-row flex-wrap items-baseline gap-x-3">
        <Text className="w-[84px]">{t('dish.nutrition')}</Text>
        <Text weight="bold" stretch="narrow">
          {t('dish.energy', { kcal: Math.round(balance.energyKJ / KJ_PER_KCAL), kj: Math.round(balance.energyKJ) })}
        </Text>
        <Text size="small" tone="ash" stretch="slim">
          {t('dish.macros', {
            protein: grams(balance.proteinG),
            carbohydrate: grams(balance.carbohydrateG),
            fat: grams(balance.fatG),
            fibre: grams(balance.fibreG),
            salt: `${balance.saltG.toFixed(1)} g`,
          })}
        </Text>
      </View>
      {judged.unknown.length > 0 && (
        <Text weight="bold" size="small">
          {t('dish.unknown', { list: judged.unknown.join(', ') })}
        </Text>
      )}
    </View>
  )
}

export type RepairChanges = readonly { id: string; name: string; fromG: number; toG: number }[]

const isTooWet = ({ findings }: Judged) =>
  findings.some((one) => one.kind === 'outside' && one.metric === 'freeLiquidFraction' && one.side === 'high')

/** The smallest change of amounts that brings the dish into its bands, in grams a portion. */
export function RepairLine({
  judged,
  style,
  onTake,
}: {
  judged: Judged
  style: Style
  onTake?: (changes: RepairChanges) => void
}) {
  const { mass } = useMassWords()
  const t = useWords('book')
  const worked = useRepair(judged, style)
  const repair = valueOf(worked)
  if (worked.kind === 'working') return <Text tone="ash">{t('dish.repairWorking')}</Text>
  if (!repair) return isTooWet(judged) ? <Text weight="bold">{t('dish.tooWetDo')}</Text> : null
  const words = repair.changes
    .map(({ name, fromG, toG }) => t('dish.repairStep', { name, from: mass(fromG), to: mass(toG) }))
    .join(' · ')
  if (onTake) return <Button label={t('dish.repair')} detail={words} onPress={() => onTake(repair.changes)} />
  return (
    <Text weight="bold">
      {t('dish.repair')}: <Text>{words}</Text>
    </Text>
  )
}
