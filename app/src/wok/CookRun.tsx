import type { Run } from 'contract/run'
import { speak } from '../device/speech'
import { useAwake } from '../device/awake'
import { useEffect, useState, type ReactNode } from 'react'
import { useWindowDimensions, View } from 'react-native'
import { useKitchen, useReadsIn } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Notice } from '../ui/Notice'
import { toast, ToastPlace } from '../ui/Toast'
import { useIsWide } from '../ui/useIsWide'
import { formatClock, formatSpan } from '../words/format'
import { useWords } from '../words/i18n'
import { CheckAnswers, CheckProbe, OfferedCheck } from './CheckBar'
import { HandsClash } from './HandsClash'
import { LiveLine } from './LiveLine'
import { LiveScore } from './LiveScore'
import { NextBar } from './NextBar'
import { OtherRuns } from './OtherRuns'
import { OverPanel } from './OverPanel'
import { StepFace } from './StepFace'
import { StepList } from './StepList'
import { RunHead } from './RunHead'
import { RunNotices } from './RunNotices'
import { useStepWords, type RunStep } from './stepWords'
import { TroubleBar, TroubleList } from './TroublePanel'
import { kitchenNowMs, useNowMs } from '../device/clock'
import { LOOK_AGAIN_MS, useCook, type Cook } from './useCook'
import { useLiveRest } from './useLiveRest'
import { useLastSaid } from './useLastSaid'
import { usePedal } from './usePedal'
import { useRest } from './useRest'
import type { sayOfRun } from './useRuns'

type Props = {
  run: Run
  /** Where what is said goes: to the kitchen, or nowhere. */
  say: typeof sayOfRun
  /** A run that is only played through. */
  rehearsal?: { onEnd: () => void }
}

/** A step that has been due for so long was forgotten, not cooked. */
const LEFT_OPEN_MS = 45 * 60_000

/** A run as its cook is led through it. */
export function CookRun({ run, say: sayOf, rehearsal }: Props) {
  useAwake()
  const t = useWords('wok')
  const kitchen = useKitchen().data
  const voice = Math.max(0, kitchen?.stations.findIndex((one) => one.id === run.stationId) ?? 0)
  const rest = useLiveRest(run, sayOf)
  const cook = useCook(run, { voice, onSaid: rest.follow, sayOf })
  const [isTrouble, setIsTrouble] = useState(false)
  const isWide = useIsWide()
  const { height } = useWindowDimensions()
  const words = useStepWords(useReadsIn())
  const station = kitchen?.stations.find((one) => one.id === run.stationId)
  const wordsOf = (step: RunStep) => words(step, station?.kind === 'griddle')
  const lot = run.lots.map((one) => one.name).join(' + ')
  const isOver = cook.state.endedMs !== null
  const isResting = useRest(isOver ? 'over' : cook.step.id)
  const [last, setLast] = useLastSaid()
  const title = isOver ? t('finished.title') : wordsOf(cook.step).title
  useEffect(() => speak(title), [title, cook.step.id])
  const say = (eventId: string) => setLast({ eventId, what: wordsOf(cook.step).title })
  const undo = (eventId: string) => {
    cook.undo(eventId)
    setLast(null)
  }
  usePedal(() => {
    if (!isOver && !isTrouble && !isResting && cook.step.check === null) say(cook.done())
  })
  if (isOver) {
    return (
      <View role="main" className="flex-1 bg-ground">
        <RunHead run={run} cook={cook} stationName={station?.name ?? run.stationId} />
        <OverPanel run={run} state={cook.state} onRehearsed={rehearsal?.onEnd ?? null} />
        <ToastPlace />
      </View>
    )
  }
  const onStopped = (eventId: string) => {
    setIsTrouble(false)
    toast(t('troubles.stopped'), () => cook.undo(eventId))
  }
  return (
    <View role="main" className="flex-1 bg-ground">
      <RunHead run={run} cook={cook} stationName={station?.name ?? run.stationId} />
      {rehearsal ? <RehearsalNotice onEnd={rehearsal.onEnd} /> : <RunNotices runId={run.id} />}
      {!rehearsal && (
        <Looking>
          {(nowMs) => (
            <>
              <OtherRuns runId={run.id} nowMs={nowMs} />
              <HandsClash run={run} nowMs={nowMs} onWaits={rest.follow} />
            </>
          )}
        </Looking>
      )}
      {cook.nowMs - cook.state.dueMs > LEFT_OPEN_MS && (
        <View className="px-2 pt-1">
          <Notice
            kind="conflict"
            isSmall
            title={t('leftOpen', { span: formatSpan((cook.nowMs - cook.state.dueMs) / 1000) })}
          />
        </View>
      )}
      <Looking>{(nowMs) => <LiveLine run={run} state={cook.state} rest={rest} nowMs={nowMs} voice={voice} />}</Looking>
      <View className="min-h-0 flex-1 flex-row">
        <LiveScore
          run={run}
          state={cook.state}
          nowMs={cook.nowMs}
          channelPx={isWide ? 150 : 66}
          pxPerS={isWide ? 3.2 : 2.35}
          nowLinePx={Math.round(height * (isWide ? 0.16 : 0.19))}
          name={wordsOf(cook.step).title}
        />
        {isTrouble ? (
          <TroubleList
            run={run}
            cook={cook}
            wordsOf={wordsOf}
            isRehearsal={rehearsal !== undefined}
            onClose={() => setIsTrouble(false)}
          />
        ) : (
          <StepFace
            run={run}
            step={cook.step}
            words={wordsOf(cook.step)}
            dueMs={cook.state.dueMs}
            isWaiting={cook.state.status === 'waiting'}
            noes={cook.state.checks.filter(({ stepId, ok }) => stepId === cook.step.id && !ok).length}
            lotName={lot ? t('head.lot', { lot }) : t('head.noLot')}
            isWide={isWide}
          />
        )}
        {isWide && <StepList run={run} state={cook.state} nowMs={cook.nowMs} wordsOf={wordsOf} />}
      </View>
      <View className="gap-3 border-t border-edge bg-plate px-3 pb-3 pt-2">
        {cook.step.check !== null && !isTrouble && (
          <CheckAnswers isResting={isResting} onSay={(ok, read) => say(cook.checked(ok, read))} />
        )}
        {cook.step.check === null && cook.step.offered && !isTrouble && (
          <OfferedCheck
            check={cook.step.offered}
            title={wordsOf(cook.step).title}
            onSay={(ok, read) => say(cook.checked(ok, read))}
          />
        )}
        <NextBar run={run} state={cook.state} wordsOf={wordsOf} last={last} onUndo={undo} />
        {isTrouble ? (
          <TroubleBar cook={cook} onClose={() => setIsTrouble(false)} onStopped={onStopped} />
        ) : (
          <CookBar
            cook={cook}
            wordsOf={wordsOf}
            onTrouble={() => setIsTrouble(true)}
            run={run}
            isResting={isResting}
            onSaid={say}
          />
        )}
      </View>
      <ToastPlace />
    </View>
  )
}

function RehearsalNotice({ onEnd }: { onEnd: () => void }) {
  const t = useWords('wok')
  return (
    <View className="flex-row items-center gap-2 px-2 pt-1">
      <View className="min-w-0 flex-1">
        <Notice kind="conflict" isSmall title={t('rehearse.banner')} />
      </View>
      <Button size="body" label={t('rehearse.end')} onPress={onEnd} />
    </View>
  )
}

type CookBarProps = {
  run: Run
  cook: Cook
  wordsOf: (step: RunStep) => { title: string; check: string | null }
  isResting: boolean
  onTrouble: () => void
  onSaid: (eventId: string) => void
}

function CookBar({ run, cook, wordsOf, isResting, onTrouble, onSaid }: CookBarProps) {
  const t = useWords('wok')
  const [isProbing, setIsProbing] = useState(false)
  const { check } = cook.step
  const next = cook.state.steps[cook.state.stepIndex + 1]
  const later = () => {
    const eventId = cook.later()
    if (!next) return
    const time = formatClock((cook.state.dueMs - run.firedAtMs) / 1000 + 10)
    toast(t('laterToast', { what: wordsOf(next).title, time }), () => cook.undo(eventId))
  }
  const handsFree = cook.state.handsFree ? t('handsFreeOn') : t('handsFreeOff')
  return (
    <View className="flex-row gap-2.5">
      <Button isTall label={t('later')} className="w-[86px] md:w-44" onPress={later} />
      {check ? (
        <Button
          isTall
          label={t('checkProbe')}
          detail={t('checkProbeDetail')}
          isResting={isResting}
          className="flex-1"
          onPress={() => setIsProbing(true)}
        />
      ) : (
        <Button
          isTall
          kind="main"
          size="amount"
          label={t('done')}
          detail={handsFree}
          isResting={isResting}
          className="flex-1"
          onPress={() => onSaid(cook.done())}
        />
      )}
      <Button isTall label={t('trouble')} className="w-[96px] md:w-44" onPress={onTrouble} />
      {check && (
        <CheckProbe
          key={cook.step.id}
          check={check}
          title={wordsOf(cook.step).check ?? ''}
          isOpen={isProbing}
          onClose={() => setIsProbing(false)}
          onSay={(ok, read) => onSaid(cook.checked(ok, read))}
        />
      )}
    </View>
  )
}

/** What goes by the clock is looked at again by itself: the rest of the screen is drawn when the run moves. */
function Looking({ children }: { children: (nowMs: number) => ReactNode }) {
  useNowMs(LOOK_AGAIN_MS)
  return children(kitchenNowMs())
}
