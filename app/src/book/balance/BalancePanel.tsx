import type { Finding } from 'core/book/balance/findings'
import { causesOf } from 'core/book/balance/findings'
import type { Metric, Style } from 'core/book/balance/style'
import { scaleLinear } from 'd3-scale'
import { View } from 'react-native'
import Svg, { Circle, Line, Path, Rect } from 'react-native-svg'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { formatPercent } from '../../words/format'
import { useWords } from '../../words/i18n'
import type { Judged } from './judge'

const SHOWN: readonly Metric[] = [
  'saltFraction',
  'sugarFraction',
  'fatFraction',
  'freeLiquidFraction',
  'vegetableToRice',
  'proteinToRice',
  'eggToRice',
  'acidScale',
  'chilliScale',
]
const SCALES: readonly Metric[] = ['acidScale', 'chilliScale']
const LINE_PX = 220
const LINE_PHONE_PX = 110

/** A metric in figures: per cent, or 0–5 on the house's scale. */
const metricText = (metric: Metric, value: number) =>
  SCALES.includes(metric) ? `${value.toFixed(1)} / 5` : `${formatPercent(value)} %`

/** Every metric of a balance on its band: a disc inside, a diamond outside, and in words who brings it. */
export function BalancePanel({
  judged,
  style,
  isNarrow = false,
}: {
  judged: Judged
  style: Style
  isNarrow?: boolean
}) {
  return (
    <View role="list">
      {SHOWN.map((metric) => {
        const value = judged.balance.metrics[metric]
        return value === null ? null : (
          <MetricRow key={metric} metric={metric} value={value} judged={judged} style={style} isNarrow={isNarrow} />
        )
      })}
      <ColourRow judged={judged} style={style} />
    </View>
  )
}

type Outside = Extract<Finding, { kind: 'outside' }>

function MetricRow(props: { metric: Metric; value: number; judged: Judged; style: Style; isNarrow: boolean }) {
  const { metric, value, judged, style, isNarrow } = props
  const t = useWords('book')
  const isWide = useIsWide()
  const band = style.bands[metric]
  const finding = judged.findings.find((one): one is Outside => one.kind === 'outside' && one.metric === metric)
  const widthPx = isWide && !isNarrow ? LINE_PX : LINE_PHONE_PX
  return (
    <View role="listitem" className="min-h-[30px] flex-row flex-wrap items-center gap-x-3 border-b border-edge py-1">
      <Text className="w-[84px]">{t(`metrics.${metric}`)}</Text>
      <Text weight="bold" stretch="narrow" className="w-[62px] text-right">
        {metricText(metric, value)}
      </Text>
      <BandLine value={value} least={band.least} most={band.most} widthPx={widthPx} />
      <Text
        size="small"
        tone={finding ? 'rice' : 'ash'}
        weight={finding ? 'bold' : 'normal'}
        stretch="slim"
        className="min-w-[120px] flex-1"
      >
        <MetricWords metric={metric} judged={judged} style={style} finding={finding} />
      </Text>
    </View>
  )
}

function MetricWords(props: { metric: Metric; judged: Judged; style: Style; finding: Outside | undefined }) {
  const { metric, judged, style, finding } = props
  const t = useWords('book')
  const band = style.bands[metric]
  const [cause] = finding ? finding.causes : causesOf(metric, judged.parts)
  if (finding?.side === 'high' && cause) {
    const by = metricText(metric, finding.value - band.most)
    return t('dish.over', { by, name: cause.name, share: Math.round(cause.share * 100) })
  }
  if (finding) return cause ? t('dish.low', { name: cause.name }) : t('dish.lowNone')
  const range = t('dish.band', { least: bandText(metric, band.least), most: bandText(metric, band.most) })
  if (!cause || metric.endsWith('ToRice')) return range
  return `${range} · ${t('dish.brings', { name: cause.name, share: Math.round(cause.share * 100) })}`
}

const bandText = (metric: Metric, value: number) =>
  SCALES.includes(metric) ? String(value) : String(Number((value * 100).toFixed(1)))

/** Value and band on one line; the line reaches half as far again as the band. */
function BandLine({ value, least, most, widthPx }: { value: number; least: number; most: number; widthPx: number }) {
  const at = scaleLinear([0, Math.max(most * 1.5, 1e-9)], [7, widthPx - 7]).clamp(true)
  const isInside = value >= least - 1e-9 && value <= most + 1e-9
  return (
    <Svg width={widthPx} height={20} aria-hidden>
      <Line x1={7} x2={widthPx - 7} y1={10} y2={10} stroke="rgb(var(--line))" strokeWidth={1.5} />
      <Rect x={at(least)} y={7} width={Math.max(2, at(most) - at(least))} height={6} fill="rgb(var(--ash))" />
      {isInside ? (
        <Circle cx={at(value)} cy={10} r={6} fill="rgb(var(--rice))" stroke="rgb(var(--ground))" strokeWidth={1.5} />
      ) : (
        <Path d={diamond(at(value))} fill="rgb(var(--rice))" stroke="rgb(var(--ground))" strokeWidth={1.5} />
      )}
    </Svg>
  )
}

const diamond = (x: number) => `M${x} 2 L${x + 8} 10 L${x} 18 L${x - 8} 10 Z`

function ColourRow({ judged, style }: { judged: Judged; style: Style }) {
  const t = useWords('book')
  const isWrong = judged.findings.some((one) => one.kind === 'colour')
  const list = style.colours.map((one) => t(`colours.${one}`)).join(', ')
  const oil = judged.findings.find((one) => one.kind === 'oil-school')
  return (
    <View role="listitem" className="min-h-[30px] flex-row flex-wrap items-center gap-x-3 py-1">
      <Text className="w-[84px]">{t('dish.colour')}</Text>
      <Text weight="bold" stretch="narrow">
        {t(`colours.${judged.balance.colour}`)}
      </Text>
      <Text
        size="small"
        tone={isWrong ? 'rice' : 'ash'}
        weight={isWrong ? 'bold' : 'normal'}
        stretch="slim"
        className="flex-1"
      >
        {isWrong ? t('dish.colourWrong', { style: style.name, list }) : t('dish.colourFine', { style: style.name })}
      </Text>
      {oil && (
        <Text size="small" weight="bold" stretch="slim" className="w-full">
          {t(oil.side === 'low' ? 'dish.oilLow' : 'dish.oilHigh', { g: oil.gPer100G.toFixed(1) })}
        </Text>
      )}
    </View>
  )
}
