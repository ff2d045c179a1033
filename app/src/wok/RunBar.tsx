import type { Run } from 'contract/run'
import type { ComponentProps } from 'react'
import { View } from 'react-native'
import { Bowls } from './Bowls'
import { CheckAnswers, OfferedCheck } from './CheckBar'
import { CookBar } from './CookBar'
import { NextBar } from './NextBar'
import type { RunStep, StepWords } from './stepWords'
import { TroubleBar } from './TroublePanel'
import type { Cook } from './useCook'

type RunBarProps = Pick<ComponentProps<typeof NextBar>, 'last' | 'onUndo'> & {
  run: Run
  cook: Cook
  wordsOf: (step: RunStep) => StepWords
  isResting: boolean
  isRehearsal: boolean
  trouble: { isOpen: boolean; open: () => void; close: () => void; onStopped: (eventId: string) => void }
  onSaid: (eventId: string) => void
}

/** What the thumb reaches: the check of the step or its bowls, what comes next, and what the cook says. */
export function RunBar({ run, cook, wordsOf, isResting, isRehearsal, last, trouble, onSaid, onUndo }: RunBarProps) {
  return (
    <View className="gap-3 border-t border-edge bg-plate px-3 pb-3 pt-2">
      {cook.step.check !== null && !trouble.isOpen && (
        <CheckAnswers isResting={isResting} onSay={(ok, read) => onSaid(cook.checked(ok, read))} />
      )}
      {cook.step.check === null && cook.step.offered && !trouble.isOpen && (
        <OfferedCheck
          check={cook.step.offered}
          title={wordsOf(cook.step).title}
          onSay={(ok, read) => onSaid(cook.checked(ok, read))}
        />
      )}
      {cook.step.action === 'pickUp' && !trouble.isOpen && !isRehearsal && <Bowls run={run} />}
      <NextBar run={run} state={cook.state} wordsOf={wordsOf} last={last} onUndo={onUndo} />
      {trouble.isOpen ? (
        <TroubleBar cook={cook} onClose={trouble.close} onStopped={trouble.onStopped} />
      ) : (
        <CookBar
          cook={cook}
          wordsOf={wordsOf}
          onTrouble={trouble.open}
          run={run}
          isResting={isResting}
          onSaid={onSaid}
        />
      )}
    </View>
  )
}
