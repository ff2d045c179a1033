import type { Run } from 'contract/run'
import { EventId } from 'contract/ids'
import { handsClash, inTheSameHands, type HandsClash as Clash } from 'core/wok/live/handsClash'
import { runState } from 'core/wok/run'
import { useRef } from 'react'
import { View } from 'react-native'
import { useLineState } from '../line/plan/useLineState'
import { useKitchen, useReadsIn } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Notice } from '../ui/Notice'
import { toast } from '../ui/Toast'
import { useWords } from '../words/i18n'
import { useStepWords } from './stepWords'
import { sayOfRun, useOpenRuns } from './useRuns'

/** Two runs of this cook that are about to want the same hands: what waits, and for how long, with one tap. */
export function HandsClash({ run, nowMs, onWaits }: { run: Run; nowMs: number; onWaits: (eventId: string) => void }) {
  const t = useWords('wok')
  const kitchen = useKitchen().data
  const words = useStepWords(useReadsIn())
  const answered = useRef('')
  const { runs } = useOpenRuns()
  const { pairs } = useLineState().wishes
  const own = inTheSameHands(run, runs, pairs)
  const shown = own.map((one) => ({ id: one.id, run: one, state: runState(one, one.events, nowMs) }))
  const clash = shown.length < 2 ? null : handsClash(shown, nowMs)
  if (!clash) return null
  const stationOf = (runId: string) => {
    const { stationId } = shown.find(({ id }) => id === runId)!.run
    return kitchen?.stations.find(({ id }) => id === stationId)
  }
  const nameOf = (runId: string) => stationOf(runId)?.name ?? ''
  const titleOf = ({ runId, stepId }: Clash['busy']) => {
    const step = shown.find(({ id }) => id === runId)!.state.steps.find(({ id }) => id === stepId)
    return step ? words(step, stationOf(runId)?.kind === 'griddle').title : ''
  }
  const { atMs, wants, busy, wait } = clash
  const letWait = (waiting: NonNullable<Clash['wait']>) => {
    // A double tap is one answer; the same two may clash again later.
    const key = `${waiting.runId} ${waiting.stepId} ${atMs} ${waiting.byS}`
    if (answered.current === key) return
    answered.current = key
    const eventId = sayOfRun(waiting.runId, { kind: 'later', stepId: waiting.stepId, delayS: waiting.byS })
    if (waiting.runId === run.id) onWaits(eventId)
    toast(t('clash.waits', { station: nameOf(waiting.runId), seconds: waiting.byS }), () => {
      answered.current = ''
      sayOfRun(waiting.runId, { kind: 'undone', eventId: EventId.parse(eventId) })
    })
  }
  return (
    <View className="flex-row items-center gap-2 px-2 pt-1" aria-live="polite">
      <View className="min-w-0 flex-1">
        <Notice
          kind="conflict"
          isSmall
          title={t(wait ? 'clash.said' : 'clash.neither', {
            wants: titleOf(wants),
            station: nameOf(wants.runId),
            busy: titleOf(busy),
          })}
        />
      </View>
      {wait && (
        <Button
          size="body"
          label={t('clash.waits', { station: nameOf(wait.runId), seconds: wait.byS })}
          onPress={() => letWait(wait)}
        />
      )}
    </View>
  )
}
