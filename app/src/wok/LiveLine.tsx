import type { Run } from 'contract/run'
import type { RunState } from 'core/wok/run'
import { useEffect, useRef } from 'react'
import { View } from 'react-native'
import { give } from '../device/signal'
import { speak } from '../device/speech'
import { Notice } from '../ui/Notice'
import { capital, formatClock } from '../words/format'
import { useWords } from '../words/i18n'
import type { LiveRest } from './useLiveRest'

/** So long the last change of the rest is told [ms]. */
const TOLD_MS = 12_000

type Props = { run: Run; state: RunState; rest: LiveRest; nowMs: number; voice: number }

/** What is seen coming, with the one thing to do; or why the rest has just moved. One line, so that the step stays large. */
export function LiveLine({ run, state, rest, nowMs, voice }: Props) {
  const t = useWords('wok')
  const nameOf = (componentId: string | null) =>
    capital(
      run.score.steps.flatMap((step) => step.entries).find((entry) => entry.componentId === componentId)?.name ?? '',
    )
  const warning = rest.warnings[0]
  const key = warning ? `${warning.code} ${warning.componentId ?? ''}` : ''
  const said = warning
    ? t(`live.warn.${warning.code}`, { name: nameOf(warning.componentId), time: formatClock(warning.atS) })
    : ''
  const heard = useRef('')
  useEffect(() => {
    if (key && key !== heard.current) {
      give('trouble', voice)
      speak(said)
    }
    heard.current = key
  }, [key, voice, said])
  const { retimed } = state
  const isTold = retimed !== null && nowMs - retimed.atMs < TOLD_MS && retimed.laterS !== 0
  const isHazard = warning?.code === 'rawShort' || warning?.code === 'burns' || warning?.code === 'riceCold'
  return (
    <View role="status" className="px-2 pt-1">
      {warning ? (
        <Notice kind={isHazard ? 'hazard' : 'conflict'} isSmall title={said} />
      ) : isTold ? (
        <Notice
          kind="conflict"
          isSmall
          title={t(`live.${retimed.laterS > 0 ? 'later' : 'sooner'}.${retimed.componentId ? retimed.why : 'plain'}`, {
            n: Math.abs(retimed.laterS),
            name: nameOf(retimed.componentId),
          })}
        />
      ) : (
        rest.isUnable && <Notice kind="conflict" isSmall title={t('live.unable')} />
      )}
    </View>
  )
}
