import type { Run } from 'contract/run'
import type { ReactNode } from 'react'
import { View } from 'react-native'
import { Button } from '../ui/Button'
import { Notice } from '../ui/Notice'
import { formatSpan } from '../words/format'
import { useWords } from '../words/i18n'
import { HandsClash } from './HandsClash'
import { LiveLine } from './LiveLine'
import { OtherRuns } from './OtherRuns'
import { RunNotices } from './RunNotices'
import { kitchenNowMs, useNowMs } from '../device/clock'
import { LOOK_AGAIN_MS, type Cook } from './useCook'
import type { LiveRest } from './useLiveRest'

/** A step that has been due for so long was forgotten, not cooked. */
const LEFT_OPEN_MS = 45 * 60_000

type RunTopProps = {
  run: Run
  cook: Cook
  rest: LiveRest
  voice: number
  rehearsal: { onEnd: () => void } | undefined
}

/** What stands above the step: what was not kept, other runs, hands that clash, a run left open, and what was worked out again. */
export function RunTop({ run, cook, rest, voice, rehearsal }: RunTopProps) {
  const t = useWords('wok')
  const overdueMs = cook.nowMs - cook.state.dueMs
  return (
    <>
      {rehearsal ? (
        <RehearsalNotice onEnd={rehearsal.onEnd} />
      ) : (
        <>
          <RunNotices runId={run.id} />
          <Looking>
            {(nowMs) => (
              <>
                <OtherRuns runId={run.id} nowMs={nowMs} />
                <HandsClash run={run} nowMs={nowMs} onWaits={rest.follow} />
              </>
            )}
          </Looking>
        </>
      )}
      {overdueMs > LEFT_OPEN_MS && (
        <View className="px-2 pt-1">
          <Notice kind="conflict" isSmall title={t('leftOpen', { span: formatSpan(overdueMs / 1000) })} />
        </View>
      )}
      <Looking>{(nowMs) => <LiveLine run={run} state={cook.state} rest={rest} nowMs={nowMs} voice={voice} />}</Looking>
    </>
  )
}

/** What goes by the clock is looked at again by itself: the rest of the screen is drawn when the run moves. */
function Looking({ children }: { children: (nowMs: number) => ReactNode }) {
  useNowMs(LOOK_AGAIN_MS)
  return children(kitchenNowMs())
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
