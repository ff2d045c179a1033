import type { Run } from 'contract/run'
import { speak } from '../device/speech'
import { useAwake } from '../device/awake'
import { useEffect, useState } from 'react'
import { useWindowDimensions, View } from 'react-native'
import { useKitchen, useReadsIn } from '../setup/useKitchen'
import { toast, ToastPlace } from '../ui/Toast'
import { useIsWide } from '../ui/useIsWide'
import { useWords } from '../words/i18n'
import { LiveScore } from './LiveScore'
import { OverPanel } from './OverPanel'
import { StepFace } from './StepFace'
import { StepList } from './StepList'
import { RunHead } from './RunHead'
import { useStepWords, type RunStep } from './stepWords'
import { TroubleList } from './TroublePanel'
import { useCook } from './useCook'
import { useLiveRest } from './useLiveRest'
import { useLastSaid } from './useLastSaid'
import { usePedal } from './usePedal'
import { useRest } from '../ui/useRest'
import type { sayOfRun } from './useRuns'
import { RunBar } from './RunBar'
import { RunTop } from './RunTop'

type Props = {
  run: Run
  /** Where what is said goes: to the kitchen, or nowhere. */
  say: typeof sayOfRun
  /** A run that is only played through. */
  rehearsal?: { onEnd: () => void }
}

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
      <RunTop run={run} cook={cook} rest={rest} voice={voice} rehearsal={rehearsal} />
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
      <RunBar
        {...{ run, cook, wordsOf, isResting, last }}
        isRehearsal={rehearsal !== undefined}
        trouble={{ isOpen: isTrouble, open: () => setIsTrouble(true), close: () => setIsTrouble(false), onStopped }}
        onSaid={say}
        onUndo={undo}
      />
      <ToastPlace />
    </View>
  )
}
