import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { toast } from '../../ui/Toast'
import { capital, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useMiseWords } from '../miseWords'
import { useDishNames } from '../useDishNames'
import { undoMise } from '../useMise'
import type { Mise, MiseTask } from '../useKitchenPlan'
import { beginTask, endTask, isJustBegun } from './sayTask'
import { dueMs } from './taskOrder'

type Props = { mise: Mise; task: MiseTask | null; personId: string | null; onMore: (id: string) => void }

const LATE_S = 60

/** The one thing to do: begin the task, or say that it is done. */
export function TaskBar({ mise, task, personId, onMore }: Props) {
  const t = useWords('mise')
  const router = useRouter()
  if (!task && mise.plan.kind === 'working')
    return <Button isTall label={t('doing.working')} isBusy onPress={() => undefined} />
  if (!task) {
    const left = mise.tasks.some((one) => one.status !== 'done' && one.planId === mise.next?.id)
    const time = mise.next ? formatTime(mise.next.fromMs, mise.kitchen.timeZone) : ''
    return (
      <Button
        isTall
        kind={left ? 'plain' : 'main'}
        label={left ? t('doing.rest') : t('doing.allDone', { time })}
        detail={t('doing.allDoneDetail')}
        onPress={() => router.push('/mise/ready')}
      />
    )
  }
  return (
    <View className="flex-row gap-2.5">
      <View className="min-w-0 flex-1">
        {task.status === 'underway' ? (
          <DoneButton mise={mise} task={task} />
        ) : (
          <StartButton {...{ mise, task, personId }} />
        )}
      </View>
      <Button
        isTall
        size="body"
        label={t('doing.more')}
        accessibleName={t('doing.moreName', { name: task.name })}
        className="w-[72px]"
        onPress={() => onMore(task.id)}
      />
    </View>
  )
}

export function StartButton({ mise, task, personId }: { mise: Mise; task: MiseTask; personId: string | null }) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const start = () => {
    const ids = beginTask(task, personId)
    if (ids.length === 0) return
    toast(t('doing.began', { name: words.task(task) }), () => undoMise(task.planId, ids))
  }
  return (
    <Button
      isTall
      kind="main"
      label={t('doing.start', { name: task.name })}
      detail={useStartDetail(mise, task)}
      onPress={start}
    />
  )
}

function useStartDetail(mise: Mise, task: MiseTask): string {
  const t = useWords('mise')
  const dishName = useDishNames()
  const words = useMiseWords(mise.kitchen)
  if (!task.at) return t('doing.noPlan')
  const latestMs = task.at.latestStartMs ?? task.at.startMs
  const slackS = (latestMs - mise.nowMs) / 1000
  if (task.at.lateAheadS > LATE_S && task.portions > 0 && task.dishIds.length > 0)
    return t('doing.startLate', { dishes: task.dishIds.map(dishName).join(', '), n: Math.round(task.portions) })
  return slackS < LATE_S ? t('doing.startTight') : t('doing.startDetail', { time: words.span(slackS) })
}

export function DoneButton({ mise, task }: { mise: Mise; task: MiseTask }) {
  const t = useWords('mise')
  const done = useEndTask(mise)
  const detail = t('doing.doneDetail', { time: formatTime(dueMs(task), mise.kitchen.timeZone) })
  return (
    <Button
      isTall
      kind="main"
      label={t('doing.done', { name: capital(task.name) })}
      detail={detail}
      onPress={() => done(task, null)}
    />
  )
}

/** Ends a task and says what came of it, with the way back. */
export function useEndTask(mise: Mise) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  return (task: MiseTask, massG: number | null) => {
    if (isJustBegun(task.id)) return
    const { ids, lot, useByMs } = endTask(task, mise.tasks, massG)
    const said =
      lot !== null && useByMs !== null
        ? t('doing.made', { lot, name: task.name, time: formatTime(useByMs, mise.kitchen.timeZone) })
        : t('doing.finished', { name: words.task(task) })
    toast(said, () => undoMise(task.planId, ids))
  }
}
