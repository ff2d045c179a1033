import type { Correction } from 'core/book/taste/correct'
import type { MeasureTools } from 'core/measure/practical'
import { View } from 'react-native'
import { useMeasureWords } from '../../ui/measureWords'
import { Text } from '../../ui/Text'
import { formatPercent } from '../../words/format'
import { useWords } from '../../words/i18n'
import type { Shelf } from '../useShelf'
import { measureOf } from './tasting'
import { useMassWords } from '../../setup/useMassWords'

type Props = { correction: Correction; shelf: Shelf; tools: MeasureTools }

/** The answer in figures that are read at arm's length, and why not the obvious one. */
export function Answer({ correction, shelf, tools }: Props) {
  const { mass } = useMassWords()
  const t = useWords('wok')
  const measureWords = useMeasureWords()
  const { after } = correction
  if (correction.kind === 'nothing-helps')
    return (
      <View aria-live="polite" className="min-h-[150px] justify-center rounded-lg border border-line p-4">
        <Text size="title" weight="bold">
          {t(`taste.nothing.${correction.why}`)}
        </Text>
      </View>
    )
  const rejected = correction.rejected[0]
  return (
    <View aria-live="polite" className="min-h-[150px] gap-1 rounded-lg border border-line p-4">
      {correction.additions.map((one) => (
        <View key={one.id} className="flex-row flex-wrap items-baseline gap-x-3">
          <Text size="figure" weight="bold" stretch="narrow">
            {mass(one.massG)}
          </Text>
          <Text size="lead" weight="bold" stretch="slim" className="min-w-32 flex-1">
            {one.name}
          </Text>
          <Text stretch="narrow">{measureWords(measureOf(one, shelf, tools)) ?? ''}</Text>
        </View>
      ))}
      <Text tone="ash">
        {t('taste.then', {
          salt: formatPercent(after.saltFraction),
          sweet: formatPercent(after.sugarFraction),
          liquid: formatPercent(after.freeLiquidFraction),
        })}
      </Text>
      {rejected && (
        <Text>
          {t('taste.instead', {
            mass: mass(rejected.addition.massG),
            name: rejected.addition.name,
            why: t(`taste.why.${rejected.why}`),
          })}
        </Text>
      )}
      <Text size="small" tone="ash">
        {t('taste.hotAgain')}
      </Text>
    </View>
  )
}
