import type { LearnedKind, LearnedState } from 'contract/learned'
import { scaleLinear } from 'd3-scale'
import { curveStepAfter, line } from 'd3-shape'
import { View } from 'react-native'
import Svg, { Circle, Line, Path, Text as SvgText } from 'react-native-svg'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { useLearned } from './useLearned'

/** Nearer than this to the model nothing is said of a difference. */
const SAME = 0.01
const WIDTH_PX = 330
const HEIGHT_PX = 96
const MOST = 0.3

/** What the kitchen's own runs say of a station's or a dish's seconds, run by run, and the way to freeze or forget it. */
export function LearnedSection({ kind, id }: { kind: LearnedKind; id: string }) {
  const t = useWords('wok')
  const { learned, change } = useLearned(kind, id)
  if (!learned) return null
  const { factor, runs, isFrozen, recent } = learned
  const by = Math.round(Math.abs(factor - 1) * 100)
  const said =
    runs === 0
      ? t('learned.nothing')
      : t(Math.abs(factor - 1) < SAME ? 'learned.same' : factor > 1 ? 'learned.slower' : 'learned.faster', {
          n: by,
          what: t(`learned.kinds.${kind}`),
          count: runs,
        })
  const say = (does: 'follow' | 'freeze' | 'forget') =>
    change.mutate(does, { onSuccess: () => toast(t(`learned.said.${does}`)) })
  return (
    <View className="gap-2 border-t border-edge pt-3">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('learned.title')}
      </Text>
      <Text>{`${said}${isFrozen ? ` ${t('learned.frozen')}` : ''}`}</Text>
      {recent.length > 1 && <Chart learned={learned} />}
      <Text size="small" tone="ash" stretch="slim">
        {t('learned.never')}
      </Text>
      <View className="flex-row flex-wrap gap-2">
        <Button
          size="body"
          label={t(isFrozen ? 'learned.follow' : 'learned.freeze')}
          disabledBecause={change.isPending ? t('learned.working') : undefined}
          onPress={() => say(isFrozen ? 'follow' : 'freeze')}
        />
        <Button
          size="body"
          label={t('learned.forget')}
          disabledBecause={change.isPending ? t('learned.working') : runs === 0 ? t('learned.noRuns') : undefined}
          onPress={() => say('forget')}
        />
      </View>
    </View>
  )
}

/** Each run against the model as a point, and what the plan already knew of it as a line: it comes to where the points are. */
function Chart({ learned: { recent, factor, kind } }: { learned: LearnedState }) {
  const t = useWords('wok')
  const runs = recent.map((run) => ({ actual: (run.actualS / run.plannedS) * run.factor, known: run.factor }))
  const x = scaleLinear([0, Math.max(1, runs.length)], [44, WIDTH_PX - 8])
  const y = scaleLinear([1 - MOST, 1 + MOST], [HEIGHT_PX - 6, 6]).clamp(true)
  const knownLine = line<number>()
    .curve(curveStepAfter)
    .x((_, i) => x(i))
    .y((known) => y(known))
  const percent = (share: number) =>
    `${share > 1 ? '+' : share < 1 ? '−' : ''}${Math.round(Math.abs(share - 1) * 100)} %`
  return (
    <View role="img" aria-label={t('learned.chart', { count: runs.length, what: t(`learned.kinds.${kind}`) })}>
      <Svg width={WIDTH_PX} height={HEIGHT_PX} aria-hidden>
        {[1 - MOST / 1.5, 1, 1 + MOST / 1.5].map((share) => (
          <Line
            key={share}
            x1={44}
            x2={WIDTH_PX - 8}
            y1={y(share)}
            y2={y(share)}
            stroke="rgb(var(--edge))"
            strokeWidth={share === 1 ? 1.6 : 1}
          />
        ))}
        {[1 - MOST / 1.5, 1, 1 + MOST / 1.5].map((share) => (
          <SvgText
            key={share}
            x={38}
            y={y(share) + 4}
            textAnchor="end"
            fontSize={12}
            fontFamily="Archivo Variable"
            fill="rgb(var(--ash))"
          >
            {share === 1 ? t('learned.model') : percent(share)}
          </SvgText>
        ))}
        {runs.map(({ actual }, i) => (
          <Circle key={i} cx={x(i + 0.5)} cy={y(actual)} r={3.4} fill="rgb(var(--rice))" />
        ))}
        <Path
          d={knownLine([...runs.map(({ known }) => known), factor]) ?? ''}
          fill="none"
          stroke="rgb(var(--celadon))"
          strokeWidth={2.6}
        />
      </Svg>
    </View>
  )
}
