import { varyDish } from 'core/book/vary'
import { View } from 'react-native'
import { totalMassG } from 'core/book/scale'
import { StandardNotice } from '../book/dish/StandardNotice'
import { useMeasureWords } from '../ui/measureWords'
import { Text } from '../ui/Text'
import { formatMassG } from '../words/format'
import { useWords } from '../words/i18n'
import type { ShownBatch } from './useLinePlan'

/** Everything a batch takes, in the order it goes in: grams and the kitchen's own measure. */
export function BatchAmounts({ batch }: { batch: ShownBatch }) {
  const t = useWords('line')
  const measureWords = useMeasureWords()
  const entries = batch.score.steps.flatMap((step) =>
    step.entries.filter((entry) => entry.motion === 'in' || entry.motion === 'plate'),
  )
  const varied = varyDish(batch.dish, batch.modifiers, batch.allergies)
  return (
    <>
      <StandardNotice standard={batch.dish.standard} components={varied.kind === 'varied' ? varied.components : []} />
      <View role="list">
        {entries.map((entry, index) => (
          <View
            key={`${entry.componentId}-${index}`}
            role="listitem"
            className="flex-row items-baseline justify-between gap-2 border-b border-edge py-1"
          >
            <Text stretch="slim" className="min-w-[84px] flex-1">
              {entry.name}
            </Text>
            <Text tone="ash" stretch="narrow" className="text-right">
              {measureWords(entry.measure)}
            </Text>
            <Text weight="bold" stretch="narrow" className="w-16 text-right">
              {formatMassG(entry.massG)}
            </Text>
          </View>
        ))}
        <View role="listitem" className="flex-row justify-between py-1">
          <Text tone="ash">{t('total')}</Text>
          <Text weight="bold" stretch="narrow">
            {formatMassG(totalMassG(entries))}
          </Text>
        </View>
      </View>
    </>
  )
}
