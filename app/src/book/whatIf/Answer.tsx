import { View } from 'react-native'
import { useReadsIn } from '../../setup/useKitchen'
import { useMassWords } from '../../setup/useMassWords'
import { Text } from '../../ui/Text'
import { formatClock, formatPercent, formatWholeTemp } from '../../words/format'
import { useWords } from '../../words/i18n'
import type { WhatIf } from './useWhatIf'

/** Nearer than this two batches take as long as each other [s]. */
const SAME_S = 2

/** The answer in a sentence: at once as an estimate, then in full, and against today. */
export function Answer({ whatIf, portionRiceG }: { whatIf: WhatIf; portionRiceG: number }) {
  const { mass } = useMassWords()
  const t = useWords('book')
  const readsIn = useReadsIn()
  const { wondered, quick, full, todayScore } = whatIf
  const worked = full.isBehind ? null : full.value
  const score = worked?.result.kind === 'score' ? worked.result.score : null
  const totalS = score?.totalS ?? (quick ? quick.preheatS + quick.totalS : null)
  const todayS = todayScore?.result.kind === 'score' ? todayScore.result.score.totalS : null
  const byS = totalS === null || todayS === null ? null : Math.round(totalS - todayS)
  const lowestC = Math.min(
    ...(worked?.trace ?? []).filter(({ riceC, isLit }) => riceC !== null && isLit).map(({ metalC }) => metalC),
  )
  const low = formatWholeTemp(Number.isFinite(lowestC) ? lowestC : (quick?.lowestC ?? 0), readsIn)
  const wetOf = (trace: readonly { freeFraction: number | null }[] | undefined) => trace?.at(-1)?.freeFraction ?? null
  const wet = wetOf(worked?.trace)
  const wetToday = wetOf(todayScore?.trace)
  return (
    <View aria-live="polite" className="min-h-[120px] gap-1">
      <Text size="lead" weight="bold" stretch="slim">
        {quick === null
          ? t(full.hasFailed ? 'whatIf.failed' : 'whatIf.working')
          : t(`whatIf.answer.${quick.outcome}`, {
              mass: mass(wondered.portions * portionRiceG),
              low,
              time: totalS === null ? '' : formatClock(totalS),
              riceS: Math.round(quick.riceS ?? 0),
            })}
      </Text>
      {worked && worked.result.kind !== 'score' ? (
        <Text>{t(worked.result.kind === 'infeasible' ? 'whatIf.answer.infeasible' : 'whatIf.answer.refused')}</Text>
      ) : (
        byS !== null && (
          <Text>
            {Math.abs(byS) < SAME_S
              ? t('whatIf.answer.same')
              : t(byS > 0 ? 'whatIf.answer.later' : 'whatIf.answer.sooner', { n: Math.abs(byS) })}
          </Text>
        )
      )}
      {wet !== null && wetToday !== null && (
        <Text tone="ash">{t('whatIf.answer.wet', { wet: formatPercent(wet), today: formatPercent(wetToday) })}</Text>
      )}
      {!score && quick !== null && <Text tone="ash">{t('whatIf.answer.quick')}</Text>}
    </View>
  )
}
