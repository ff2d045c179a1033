import type { Ranked } from 'core/record/faults/rank'
import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

export const SHOWN_CAUSES = 4
const BAR_PX = 110

/** The likely causes with how much speaks for each, and what it was not. */
export function Causes({ ranked, runs }: { ranked: Ranked; runs: number }) {
  const t = useWords('record')
  const { causes, cleared, isThin } = ranked
  if (causes.length === 0) return <Text size="step">{t(runs === 1 ? 'fault.none' : 'fault.noneOfMany')}</Text>
  return (
    <View className="gap-1">
      <View className="flex-row items-baseline justify-between">
        <Text role="heading" aria-level={2} weight="bold">
          {t('fault.likely')}
        </Text>
        <Text size="small" tone="ash">
          {t('fault.bar')}
        </Text>
      </View>
      {causes.slice(0, SHOWN_CAUSES).map(({ cause, share, seenIn, of }, i) => (
        <View key={cause} className="min-h-9 flex-row items-center gap-3">
          <Text weight="bold">{String(i + 1)}</Text>
          <View className="min-w-0 flex-1">
            <Text size={i === 0 ? 'step' : 'body'} weight={i === 0 ? 'bold' : 'medium'}>
              {t(`fault.causes.${cause}`)}
            </Text>
            {of > 1 && (
              <Text size="small" tone="ash" stretch="slim">
                {t('fault.seenIn', { n: seenIn, all: of })}
              </Text>
            )}
          </View>
          <View style={{ width: BAR_PX }} className="items-end">
            <View style={{ width: Math.max(3, share * BAR_PX) }} className="h-2 bg-inverse" />
          </View>
        </View>
      ))}
      {cleared.length > 0 && (
        <Text size="small" tone="ash">
          {t('fault.notIt', { list: cleared.map((one) => t(`fault.causes.${one}`).toLowerCase()).join(', ') })}
        </Text>
      )}
      <Text size="small" tone="ash">
        {t(isThin ? 'fault.thin' : runs === 1 ? 'fault.one' : 'fault.many')}
      </Text>
    </View>
  )
}
