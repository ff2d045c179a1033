import { useReadsIn } from '../setup/useKitchen'
import type { Run } from 'contract/run'
import type { RunRecord } from 'core/record/runSummary'
import { range } from 'd3-array'
import { View } from 'react-native'
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg'
import { Channel, Score } from '../score/Score'
import { plannedSpans, scoreDrawing } from '../score/scoreDrawing'
import { RIBBON_SHARE } from '../score/scoreLayout'
import { placeLabels } from '../score/placeLabels'
import { Text } from '../ui/Text'
import { formatClock, formatLate, formatMassG } from '../words/format'
import { useWords } from '../words/i18n'
import { useStepWords } from '../wok/stepWords'

const PLAN_X = 42
const LANE_PX = 56
const RUN_X = 136
const PX_PER_S = 1.7
const TOP_PX = 14
const LABEL_PX = 26
const LATE_SHOWN_S = 8

/** Plan on the left, run on the right; a step's link slants by its lateness. */
export function PlanBesideRun({ record, run }: { record: RunRecord; run: Run }) {
  const t = useWords('record')
  const words = useStepWords(useReadsIn())
  const reached = record.steps.filter((one) => one.actualStartS !== null)
  const endS = record.actualS ?? record.plannedS
  const spans = reached.map((one) => ({
    stepId: one.step.id,
    startS: one.actualStartS ?? 0,
    endS: one.actualEndS ?? endS,
  }))
  const heightPx = Math.max(record.plannedS, endS) * PX_PER_S + TOP_PX + 20
  const labels = placeLabels(
    reached.map((one) => ({ ...one, y: (one.actualStartS ?? 0) * PX_PER_S + TOP_PX, heightPx: LABEL_PX })),
    0,
  )
  const fullPx = Math.max(heightPx, ...labels.map((one) => one.labelY + LABEL_PX + 8))
  const minutes = range(0, Math.max(record.plannedS, endS) + 1, 60)
  return (
    <View className="px-4 pt-3">
      <View className="flex-row" style={{ paddingLeft: PLAN_X }}>
        <Text size="small" tone="ash" {...{ style: { width: RUN_X - PLAN_X } }}>
          {t('plan', { time: formatClock(record.plannedS) })}
        </Text>
        <Text size="small" weight="bold">
          {t('run', { time: formatClock(endS) })}
        </Text>
      </View>
      <View style={{ height: fullPx }}>
        <Svg width={RUN_X + LANE_PX + 16} height={fullPx} aria-hidden>
          {minutes.map((second) => (
            <SvgText
              key={second}
              x={0}
              y={second * PX_PER_S + TOP_PX + 4}
              fontSize={13}
              fontFamily="Archivo Variable"
              fill="rgb(var(--ash))"
            >
              {formatClock(second)}
            </SvgText>
          ))}
          <Channel x={PLAN_X} y={0} widthPx={LANE_PX} heightPx={heightPx} />
          <Channel x={RUN_X} y={0} widthPx={LANE_PX} heightPx={heightPx} />
          {plannedSpans(run.score).map((span, index) => {
            const step = run.score.steps[index]
            const width = LANE_PX * (step ? RIBBON_SHARE[step.heat] : 0)
            return (
              <Rect
                key={span.stepId}
                x={PLAN_X + LANE_PX - width}
                y={span.startS * PX_PER_S + TOP_PX}
                width={width}
                height={Math.max(1, (span.endS - span.startS) * PX_PER_S)}
                fill="rgb(48 56 61)"
                stroke="rgb(147 160 166)"
                strokeWidth={1}
              />
            )
          })}
          <Score
            drawing={scoreDrawing({ ...run.score, steps: record.state.steps }, spans)}
            x={RUN_X}
            y={TOP_PX}
            channelPx={LANE_PX}
            pxPerS={PX_PER_S}
            topS={0}
            hasLabels={false}
          />
          {labels.map(({ step, plannedStartS, lateS, y }) =>
            plannedStartS === null ? null : (
              <Line
                key={step.id}
                x1={PLAN_X + LANE_PX}
                x2={RUN_X}
                y1={plannedStartS * PX_PER_S + TOP_PX}
                y2={y}
                stroke="rgb(var(--rice))"
                strokeWidth={Math.abs(lateS ?? 0) >= LATE_SHOWN_S ? 2.6 : 1.1}
              />
            ),
          )}
          {labels.map(({ step, y, labelY }) => (
            <Line
              key={step.id}
              x1={RUN_X + LANE_PX}
              x2={RUN_X + LANE_PX + 14}
              y1={y}
              y2={labelY + 12}
              stroke="rgb(var(--ash))"
              strokeWidth={1}
            />
          ))}
        </Svg>
        <View role="list" className="absolute right-0" style={{ left: RUN_X + LANE_PX + 20 }}>
          {labels.map(({ step, plannedStartS, lateS, labelY }) => {
            const massG = step.entries.reduce((sum, entry) => sum + entry.massG, 0)
            const isLate = Math.abs(lateS ?? 0) >= LATE_SHOWN_S
            return (
              <View
                key={step.id}
                role="listitem"
                className="absolute left-0 right-0 flex-row items-baseline justify-between gap-2"
                style={{ top: labelY }}
              >
                <View className="min-w-0 flex-1 flex-row items-baseline gap-2">
                  <Text weight="semi" stretch="narrow" numberOfLines={1} className="flex-shrink">
                    {words(step, run.score.steps[0]?.heat === 'high').title}
                  </Text>
                  {massG > 0 && (
                    <Text tone="ash" stretch="narrow" numberOfLines={1} className="shrink-0">
                      {formatMassG(massG)}
                    </Text>
                  )}
                </View>
                <Text
                  weight={isLate ? 'bold' : 'normal'}
                  tone={isLate ? 'rice' : 'ash'}
                  stretch="narrow"
                  numberOfLines={1}
                  className="shrink-0"
                >
                  {plannedStartS === null
                    ? t('putIn')
                    : lateS === null || Math.abs(lateS) < 1
                      ? t('onTime')
                      : formatLate(lateS)}
                </Text>
              </View>
            )
          })}
        </View>
      </View>
    </View>
  )
}
