import type { Comparison } from 'contract/faults'
import { RunId, TicketId } from 'contract/ids'
import { instantOf } from 'core/time/localTime'
import type { Verdict } from 'core/book/taste/correct'
import { COMPLAINTS, rankCauses, type Complaint } from 'core/record/faults/rank'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { useTastings } from '../../book/useShelf'
import { useKitchen } from '../../setup/useKitchen'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Frame } from '../../ui/Frame'
import { PageHeading } from '../../ui/PageHeading'
import { Pick } from '../../ui/Pick'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Causes, SHOWN_CAUSES } from './Causes'
import { Evidence } from './Evidence'
import { NoteComplaint } from './NoteComplaint'
import { TryChange } from './TryChange'
import { isSameSubject, useComplaints } from './useComplaints'
import type { Suspect } from './useComparison'

const WIDE_PX = 460
const PHONE_PX = 350
const NOON_MIN = 720
/** What was tasted in the run is what is asked about first. */
const COMPLAINT_OF: Partial<Record<Verdict, Complaint>> = {
  salty: 'tooSalty',
  bland: 'bland',
  greasy: 'greasy',
  wet: 'soggy',
}

type FinderProps = { suspect: Suspect; comparison: Comparison; ticketNumber: number | null }

/** The complaint, its likely causes among the runs, and the one change. */
export function Finder({ suspect, comparison, ticketNumber }: FinderProps) {
  const t = useWords('record')
  const isWide = useIsWide()
  const zone = useKitchen().data?.timeZone ?? 'UTC'
  const [dishId, setDishId] = useState<string | null>(null)
  const [chosen, setComplaint] = useState<Complaint | 'none' | null>(null)
  const of = subjectOf(suspect, dishId)
  const first = useFirstComplaint(of)
  const complaint = chosen === 'none' ? null : (chosen ?? first)
  const runs = comparison.runs.filter((run) => dishId === null || run.dishId === dishId)
  const goodOf = (id: string) => comparison.good[id] ?? []
  const compared = runs.map(({ runId, dishId: own, features }) => ({ runId, run: features, good: goodOf(own) }))
  const ranked = complaint && rankCauses(complaint, compared)
  const runOf = (runId: string) => runs.find((run) => run.runId === runId)
  const names = new Map(comparison.runs.map((run) => [run.dishId, run.dishName]))
  const goodRuns = [...new Set(runs.map((run) => run.dishId))].reduce((sum, id) => sum + goodOf(id).length, 0)
  const likely = ranked?.causes[0]
  const bar = likely ? <TryChange likely={likely} /> : null
  return (
    <Frame stage="record" bar={bar ?? undefined}>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-5xl gap-3 self-center p-4">
          <PageHeading size="title" weight="bold" stretch="slim">
            {t('fault.title')}
          </PageHeading>
          <View className="flex-row items-center justify-between gap-3">
            <Text tone="ash" className="min-w-0 flex-1">
              {[
                suspect.kind === 'ticket' && ticketNumber !== null && t('evening.ticket', { number: ticketNumber }),
                suspect.kind === 'evening' && formatDay(instantOf(suspect.day, NOON_MIN, zone), zone),
                suspect.kind === 'evening'
                  ? t('evening.batches', { count: runs.length })
                  : runs.map((run) => `${run.dishName}, ${run.portions}`).join(' + '),
                t('fault.good', { count: goodRuns }),
                comparison.isCut && t('fault.isCut', { count: comparison.runs.length }),
              ]
                .filter(Boolean)
                .join(' · ')}
            </Text>
            {suspect.kind === 'evening' && names.size > 1 && (
              <Pick
                label={t('filter.dish')}
                all={t('filter.all')}
                of={[...names].map(([id, name]) => ({ id, name }))}
                picked={dishId}
                onPick={setDishId}
              />
            )}
          </View>
          <Text weight="bold">{t('fault.ask')}</Text>
          <View role="radiogroup" aria-label={t('fault.ask')} className="-mx-2 flex-row flex-wrap">
            {COMPLAINTS.filter((one) => isWide || complaint === null || one === complaint).map((one) => (
              <Choice
                key={one}
                role="radio"
                label={t(`fault.complaints.${one}`)}
                isChosen={one === complaint}
                onChoose={() => setComplaint(one)}
              />
            ))}
            {!isWide && complaint !== null && (
              <Button size="body" label={t('fault.another')} onPress={() => setComplaint('none')} />
            )}
          </View>
          {complaint !== null && <NoteComplaint of={of} what={complaint} />}
          {ranked && (
            <View aria-live="polite" className="gap-5 md:flex-row md:gap-8">
              <View className="gap-2 md:min-w-0 md:flex-1">
                <Causes ranked={ranked} runs={runs.length} />
                <View className="hidden pt-2 md:flex">{bar}</View>
              </View>
              {ranked.causes.length > 0 && (
                <View className="gap-3">
                  {ranked.causes.slice(0, SHOWN_CAUSES).map((one, i) => {
                    const run = runOf(one.runId)
                    return (
                      <Evidence
                        key={one.cause}
                        likely={one}
                        good={run ? goodOf(run.dishId) : []}
                        rank={i + 1}
                        whose={
                          runs.length > 1 && run
                            ? t('fault.whose', { dish: run.dishName, time: formatTime(run.firedAtMs, zone) })
                            : null
                        }
                        widthPx={isWide ? WIDE_PX : PHONE_PX}
                      />
                    )
                  })}
                </View>
              )}
            </View>
          )}
        </View>
      </ScrollView>
    </Frame>
  )
}

function subjectOf(suspect: Suspect, dishId: string | null) {
  switch (suspect.kind) {
    case 'run':
      return { kind: 'run' as const, runId: RunId.parse(suspect.id) }
    case 'ticket':
      return { kind: 'ticket' as const, ticketId: TicketId.parse(suspect.id) }
    case 'evening':
      return { kind: 'evening' as const, day: suspect.day, dishId }
  }
}

/** What is asked about first: what was complained of, else what was tasted in the run. */
function useFirstComplaint(of: ReturnType<typeof subjectOf>): Complaint | null {
  const { complaints } = useComplaints()
  const tastings = useTastings().data?.tastings
  const noted = complaints.find((one) => one.takenBackAtMs === null && isSameSubject(one.of, of))
  const tasted = of.kind === 'run' ? tastings?.find(({ runId }) => runId === of.runId) : undefined
  return noted?.what ?? (tasted && COMPLAINT_OF[tasted.verdict]) ?? null
}
