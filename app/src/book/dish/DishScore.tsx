import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import type { BatchScore } from 'core/line/batchScore'
import { View } from 'react-native'
import Svg, { G } from 'react-native-svg'
import { Channel, Score } from '../../score/Score'
import { plannedSpans, scoreDrawing } from 'core/wok/drawing/scoreDrawing'
import { useReadsIn } from '../../setup/useKitchen'
import { useMassWords, type MassWords } from '../../setup/useMassWords'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { plainBatch, useBatchScores } from '../../wok/useBatchScores'
import { formatClock } from '../../words/format'
import { useWords } from '../../words/i18n'
import { NotLikeThis } from './NotLikeThis'
import { ScoreSteps } from './ScoreSteps'
import { StationChoice, useStationChoice } from './StationChoice'
import { TurnedDown } from './TurnedDown'

const PX_PER_S = 2.4
const CHANNEL_PX = 110
/** Room beside the ribbon for what is set aside. */
const THREAD_PX = 30

/** The score of a batch on a station of this kitchen, with its steps beside it and what speaks for them. */
export function DishScore({ dish, portions, kitchen }: { dish: Dish; portions: number; kitchen: Kitchen }) {
  const { mass } = useMassWords()
  const t = useWords('book')
  const stations = useStationChoice(kitchen, dish)
  const { station } = stations
  const [worked] = useBatchScores([{ dish, batch: plainBatch(portions), station }], kitchen)
  return (
    <View className="gap-2">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {headingOf(worked?.kind === 'value' ? worked.value : null, t('score.scoreOf'), mass)}
      </Text>
      <StationChoice {...stations} />
      {worked?.kind === 'working' && <Text tone="ash">{t('score.workingScore')}</Text>}
      {!station && <Text tone="ash">{t('score.noStationFor')}</Text>}
      {station && !station.heat && (
        <Text size="small" tone="ash">
          {t('score.estimate', { station: station.name })}
        </Text>
      )}
      {station && worked?.kind === 'value' && <Answer dish={dish} answer={worked.value} stationName={station.name} />}
    </View>
  )
}

const headingOf = (answer: BatchScore | null, words: string, mass: MassWords['mass']): string =>
  answer?.kind === 'score' ? `${words}, ${formatClock(answer.score.totalS)}, ${mass(answer.score.batchMassG)}` : words

function Answer({ dish, answer, stationName }: { dish: Dish; answer: BatchScore; stationName: string }) {
  const t = useWords('book')
  const readsIn = useReadsIn()
  if (answer.kind === 'refused') return <Notice kind="conflict" title={t('score.refused')} />
  if (answer.kind === 'infeasible')
    return <NotLikeThis dish={dish} finding={answer.finding} stationName={stationName} readsIn={readsIn} />
  const { score } = answer
  const heightPx = score.totalS * PX_PER_S + 10
  return (
    <View className="gap-2">
      {score.basis?.warns.map((code) => (
        <Notice key={code} kind="conflict" isSmall title={t(`score.warns.${code}`)} />
      ))}
      <View className="flex-row gap-3">
        <Svg width={CHANNEL_PX + THREAD_PX} height={heightPx} aria-hidden>
          <Channel x={0} y={0} widthPx={CHANNEL_PX + THREAD_PX} heightPx={heightPx} />
          <G>
            <Score
              drawing={scoreDrawing(score, plannedSpans(score))}
              x={0}
              y={0}
              channelPx={CHANNEL_PX}
              pxPerS={PX_PER_S}
              topS={0}
              hasLabels
            />
          </G>
        </Svg>
        <ScoreSteps dish={dish} score={score} readsIn={readsIn} />
      </View>
      <TurnedDown answer={answer} />
    </View>
  )
}
