import { useReadsIn } from '../setup/useKitchen'
import { useMassWords } from '../setup/useMassWords'
import type { Run } from 'contract/run'
import type { RunRecord } from 'core/record/runSummary'
import { range } from 'd3-array'
import { View } from 'react-native'
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg'
import { Channel, Score } from '../score/Score'
import { plannedSpans, scoreDrawing } from 'core/wok/drawing/scoreDrawing'
import { evenSeconds, scoreShapes } from 'core/wok/drawing/scoreShapes'
import { placeLabels } from '../score/placeLabels'
import { Text } from '../ui/Text'
import { formatClock, formatLate } from '../words/format'
import { useWords } from '../words/i18n'
import { useStepWords } from '../wok/stepWords'

const PLAN_X = 42
const LANE_PX = 56
const RUN_X = 136
const PX_PER_S = 1.7
const TOP_PX = 14
const LABEL_PX = 26
const LATE_SHOWN_S = 8

/** A step that was reached: where it stands in the drawing, and where its name does. */
type PlacedStep = RunRecord['steps'][number] & { y: number; labelY: number }
const yOf = (seconds: number) => seconds * PX_PER_S + TOP_PX
const isShownLate = (lateS: number | null) => Math.abs(lateS ?? 0) >= LATE_SHOWN_S

/** Plan on the left, run on the right; a step's link slants by its lateness. */
export function PlanBesideRun({ record, run }: { record: RunRecord; run: Run }) {
  const t = useWords('record')
  const reached = record.steps.filter((one) => one.actualStartS !== null)
  const endS = record.actualS ?? record.plannedS
  const longestS = Math.max(record.plannedS, endS)
  const spans = reached.map((one) => ({
    stepId: one.step.id,
    startS: one.actualStartS ?? 0,
    endS: one.actualEndS ?? endS,
  }))
  const heightPx = yOf(longestS) + 20
  const steps = placeLabels(
    reached.map((one) => ({ ...one, y: yOf(one.actualStartS ?? 0), heightPx: LABEL_PX })),
    0,
  )
  const fullPx = Math.max(heightPx, ...steps.map((one) => one.labelY + LABEL_PX + 8))
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
          <Minutes longestS={longestS} />
          <Channel x={PLAN_X} y={0} widthPx={LANE_PX} heightPx={heightPx} />
          <Channel x={RUN_X} y={0} widthPx={LANE_PX} heightPx={heightPx} />
          <PlannedRibbon run={run} />
          <Score
            drawing={scoreDrawing({ ...run.score, steps: record.state.steps }, spans)}
            x={RUN_X}
            y={TOP_PX}
            channelPx={LANE_PX}
            pxPerS={PX_PER_S}
            topS={0}
            hasLabels={false}
          />
          <Links steps={steps} />
        </Svg>
        <View role="list" className="absolute right-0" style={{ left: RUN_X + LANE_PX + 20 }}>
          {steps.map((one) => (
            <StepName key={one.step.id} placed={one} isHigh={run.score.steps[0]?.heat === 'high'} />
          ))}
        </View>
      </View>
    </View>
  )
}

function Minutes({ longestS }: { longestS: number }) {
  return range(0, longestS + 1, 60).map((second) => (
    <SvgText key={second} x={0} y={yOf(second) + 4} fontSize={13} fontFamily="Archivo Variable" fill="rgb(var(--ash))">
      {formatClock(second)}
    </SvgText>
  ))
}

/** The plan as a ribbon, as wide as its heat is high, against the run's side; each step with its edge. */
function PlannedRibbon({ run }: { run: Run }) {
  const drawing = scoreDrawing(run.score, plannedSpans(run.score))
  const { ribbons, cuts } = scoreShapes(drawing, { channelPx: LANE_PX, yOf: evenSeconds(PX_PER_S) })
  return (
    <>
      {ribbons.map(({ y, width, height }) => (
        <Rect
          key={y}
          x={PLAN_X + LANE_PX - width}
          y={y + TOP_PX}
          width={width}
          height={Math.max(1, height)}
          fill="rgb(48 56 61)"
          stroke="rgb(147 160 166)"
          strokeWidth={1}
        />
      ))}
      {cuts.map(({ y }, index) => (
        <Line
          key={index}
          x1={PLAN_X}
          x2={PLAN_X + LANE_PX}
          y1={y + TOP_PX}
          y2={y + TOP_PX}
          stroke="rgb(147 160 166)"
          strokeWidth={1}
        />
      ))}
    </>
  )
}

/** From each step of the plan to the step of the run, and from there to its name. */
function Links({ steps }: { steps: readonly PlacedStep[] }) {
  return (
    <>
      {steps.map(({ step, plannedStartS, lateS, y }) =>
        plannedStartS === null ? null : (
          <Line
            key={step.id}
            x1={PLAN_X + LANE_PX}
            x2={RUN_X}
            y1={yOf(plannedStartS)}
            y2={y}
            stroke="rgb(var(--rice))"
            strokeWidth={isShownLate(lateS) ? 2.6 : 1.1}
          />
        ),
      )}
      {steps.map(({ step, y, labelY }) => (
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
    </>
  )
}

/** A step by name, with what went in and how late it was. */
function StepName({ placed, isHigh }: { placed: PlacedStep; isHigh: boolean }) {
  const { mass } = useMassWords()
  const t = useWords('record')
  const words = useStepWords(useReadsIn())
  const { step, plannedStartS, lateS, labelY } = placed
  const massG = step.entries.reduce((sum, entry) => sum + entry.massG, 0)
  const isLate = isShownLate(lateS)
  const late = () => {
    if (plannedStartS === null) return t('putIn')
    return lateS === null || Math.abs(lateS) < 1 ? t('onTime') : formatLate(lateS)
  }
  return (
    <View
      role="listitem"
      className="absolute left-0 right-0 flex-row items-baseline justify-between gap-2"
      style={{ top: labelY }}
    >
      <View className="min-w-0 flex-1 flex-row items-baseline gap-2">
        <Text weight="semi" stretch="narrow" numberOfLines={1} className="flex-shrink">
          {words(step, isHigh).title}
        </Text>
        {massG > 0 && (
          <Text tone="ash" stretch="narrow" numberOfLines={1} className="shrink-0">
            {mass(massG)}
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
        {late()}
      </Text>
    </View>
  )
}
