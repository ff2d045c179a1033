import { useReadsIn } from '../setup/useKitchen'
import { View } from 'react-native'
import { useStepWords } from '../wok/stepWords'
import { Text } from '../ui/Text'
import { formatClock } from '../words/format'
import { useNowMs } from '../device/clock'
import { useWords } from '../words/i18n'
import { nextForHands } from './nextForHands'
import { useLineWords } from './lineWords'
import type { Line } from './useLinePlan'

/** The next thing that wants the hands, and in how long. */
export function HandsNext({ line, isWide }: { line: Line; isWide: boolean }) {
  const nowMs = useNowMs()
  const t = useWords('line')
  const words = useLineWords(line)
  const stepWords = useStepWords(useReadsIn())
  const next = nextForHands(line, nowMs)
  const sayNext = (): [string, string, number | null] => {
    if (!next && line.pending.length > 0) return [t('workingPlan'), '…', null]
    if (!next) return [t('nothing'), words.nextBoat(nowMs), null]
    const inS = Math.max(0, Math.ceil((next.atMs - nowMs) / 1000))
    if (next.kind === 'fire') {
      const { batch } = next
      const how =
        batch.setUp === 'wash'
          ? t('washFor', { allergen: words.allergens(batch.allergies) })
          : t('forTickets', { count: batch.parts.length, list: words.tickets(batch) })
      return [t('fire', { dish: `${batch.dish.shortName}, ${batch.portions}` }), `${batch.station.name} · ${how}`, inS]
    }
    const { run, state, station } = next.shown
    const index = state.status === 'waiting' ? state.stepIndex : Math.min(state.stepIndex + 1, state.steps.length - 1)
    const step = state.steps[index]
    return [
      step ? stepWords(step, station?.kind === 'griddle').title : run.dishName,
      `${run.dishName} · ${station?.name ?? ''}`,
      inS,
    ]
  }
  const [title, detail, inS] = sayNext()
  return (
    <View className={isWide ? 'gap-1' : 'flex-row items-center gap-3 border-b border-edge px-4 py-2'}>
      <View className={isWide ? '' : 'min-w-0 flex-1'}>
        <Text tone="ash">{t('nextForHands')}</Text>
        <Text size="lead" weight="bold" stretch="narrow">
          {title}
        </Text>
        <Text stretch="slim" numberOfLines={2}>
          {detail}
        </Text>
      </View>
      {inS !== null && (
        <Text size={isWide ? 'action' : 'action'} weight="bold" stretch="narrow">
          {inS === 0 ? t('now') : formatClock(inS)}
        </Text>
      )}
    </View>
  )
}
