import { allergenListOf } from 'core/book/allergens'
import { batchComponents } from 'core/book/batchComponents'
import { View } from 'react-native'
import { amountOf, totalMassG } from 'core/book/scale'
import { StandardNotice } from '../book/dish/StandardNotice'
import { useKitchen } from '../setup/useKitchen'
import { useMassWords } from '../setup/useMassWords'
import { useMeasureWords } from '../ui/measureWords'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import type { ShownBatch } from './useLinePlan'

/** Everything a batch takes, in the order it goes in, or as written until that is known: grams and the kitchen's own measure. */
export function BatchAmounts({ batch }: { batch: ShownBatch }) {
  const { mass } = useMassWords()
  const t = useWords('line')
  const measureWords = useMeasureWords()
  const list = allergenListOf(useKitchen().data?.ruleSet ?? 'uk')
  const { tools = null } = useKitchen().data ?? {}
  const result = batchComponents(batch.dish, batch, list)
  const written = result.kind === 'batch' && tools ? result.batch.components : []
  const entries = batch.score
    ? batch.score.steps.flatMap((step) =>
        step.entries.filter((entry) => entry.motion === 'in' || entry.motion === 'plate'),
      )
    : written.map(({ component, massG }) => amountOf(component, massG, tools!))
  return (
    <>
      <StandardNotice
        standard={batch.dish.standard}
        components={result.kind === 'batch' ? result.batch.components.map(({ component }) => component) : []}
      />
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
              {mass(entry.massG)}
            </Text>
          </View>
        ))}
        <View role="listitem" className="flex-row justify-between py-1">
          <Text tone="ash">{t('total')}</Text>
          <Text weight="bold" stretch="narrow">
            {mass(totalMassG(entries))}
          </Text>
        </View>
      </View>
    </>
  )
}
