import type { RunFeatures } from 'contract/faults'
import type { Feature } from 'core/record/faults/features'
import type { LikelyCause } from 'core/record/faults/rank'
import { scaleLinear } from 'd3-scale'
import { View } from 'react-native'
import Svg, { Line, Path, Rect } from 'react-native-svg'
import { useReadsIn } from '../../setup/useKitchen'
import { useMassWords } from '../../setup/useMassWords'
import { Text } from '../../ui/Text'
import { formatPercent, formatTemp } from '../../words/format'
import { useWords } from '../../words/i18n'

const HEIGHT_PX = 26
const MARGIN_PX = 12

/** A figure of a run in the unit that it is read in. */
export function useFeatureWords(): (feature: Feature, value: number) => string {
  const { mass } = useMassWords()
  const t = useWords('record')
  const readsIn = useReadsIn()
  return (feature, value) => {
    switch (feature) {
      case 'riceWater':
        return `${formatPercent(value)} %`
      case 'riceTempC':
        return formatTemp({ tempC: value }, readsIn)
      case 'riceG':
      case 'sauceG':
      case 'fatG':
      case 'seasoningG':
        return mass(value)
      case 'riceTimes':
      case 'sauceTimes':
      case 'baseTimes':
      case 'eggTimes':
      case 'rawTimes':
        return t('fault.times', { n: Math.round(value * 100) })
      case 'bowlS':
      case 'waitedS':
        return t('fault.seconds', { n: Math.round(value) })
      case 'flameLevels':
      case 'leftOut':
        return String(value)
    }
  }
}

type Props = {
  likely: LikelyCause
  good: readonly RunFeatures[]
  rank: number
  /** Which of several runs the figure is of. */
  whose: string | null
  widthPx: number
}

/** One figure of a run as a diamond among the strokes of the runs that went well. */
export function Evidence({ likely, good, rank, whose, widthPx }: Props) {
  const t = useWords('record')
  const words = useFeatureWords()
  const { feature, value, usual } = likely
  const known = good.flatMap((one) => one[feature] ?? [])
  const all = [...known, value]
  const low = Math.min(...all)
  const high = Math.max(...all)
  const span = Math.max(1e-9, high - low)
  const x = scaleLinear([low - span * 0.08, high + span * 0.08], [MARGIN_PX, widthPx - MARGIN_PX])
  const said = usual
    ? t('fault.usual', { low: words(feature, usual.low), high: words(feature, usual.high) })
    : t('fault.noUsual')
  const what = t(`fault.features.${feature}`)
  return (
    <View>
      <View className="flex-row items-baseline gap-2">
        <Text weight="bold">{String(rank)}</Text>
        <Text className="min-w-0 flex-1">{what}</Text>
        <Text size="step" weight="bold" stretch="narrow">
          {words(feature, value)}
        </Text>
      </View>
      <View role="img" aria-label={t('fault.evidence', { what, value: words(feature, value), usual: said })}>
        <Svg width={widthPx} height={HEIGHT_PX} aria-hidden>
          {usual && (
            <Rect
              x={x(usual.low)}
              y={7}
              width={Math.max(2, x(usual.high) - x(usual.low))}
              height={12}
              fill="rgb(var(--edge))"
            />
          )}
          <Line x1={MARGIN_PX} x2={widthPx - MARGIN_PX} y1={13} y2={13} stroke="rgb(var(--line))" strokeWidth={1.2} />
          {known.map((one, i) => (
            <Line
              key={i}
              x1={x(one)}
              x2={x(one)}
              y1={6}
              y2={20}
              stroke="rgb(var(--rice))"
              strokeWidth={1.4}
              opacity={0.7}
            />
          ))}
          <Path
            d={`M${x(value)} 4 L${x(value) + 9} 13 L${x(value)} 22 L${x(value) - 9} 13 Z`}
            fill="rgb(var(--celadon))"
            stroke="rgb(var(--ground))"
            strokeWidth={1.5}
          />
        </Svg>
      </View>
      <Text size="small" tone="ash" stretch="slim">
        {[said, whose].filter(Boolean).join(' · ')}
      </Text>
    </View>
  )
}
