import { useState } from 'react'
import { View } from 'react-native'
import { usePersonId } from '../../people/me'
import { useIsWide } from '../../ui/useIsWide'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { PlanView } from '../chart/PlanView'
import { Head, MisePage } from '../MisePage'
import type { Mise } from '../useKitchenPlan'
import { Undrawn } from '../Undrawn'
import { WithMise } from '../WithMise'
import { ChangedPlan } from './ChangedPlan'
import { NextTask } from './NextTask'
import { Shorts } from './Shorts'
import { TaskBar } from './TaskBar'
import { TaskSheet } from './TaskSheet'
import { ThenList } from './ThenList'
import { Tight } from './Tight'
import { tasksOf } from './taskOrder'
import { Waits } from './Waits'

/** The mise now: my next task in one glance; on a wide screen beside the plan that it comes from. */
export function MiseScreen() {
  return (
    <WithMise>
      {(mise) => (mise.next ? <Drawn mise={mise} /> : <Undrawn part="now" head={<MiseHead mise={mise} />} />)}
    </WithMise>
  )
}

function Drawn({ mise }: { mise: Mise }) {
  const isWide = useIsWide()
  const [openId, setOpenId] = useState<string | null>(null)
  const personId = usePersonId()
  const { now, next } = tasksOf(mise.tasks, personId)
  const task = now[0] ?? next[0] ?? null
  const open = openId === null ? null : (mise.byId.get(openId) ?? null)
  const bar = <TaskBar mise={mise} task={task} personId={personId} onMore={setOpenId} />
  const sheet = open && <TaskSheet key={open.id} mise={mise} task={open} onClose={() => setOpenId(null)} />
  const aside = (
    <>
      <ChangedPlan mise={mise} />
      <NextTask mise={mise} task={task ?? (mise.plan.kind === 'working' ? 'working' : null)} personId={personId} />
      {isWide && <View className="mt-2">{bar}</View>}
      <Waits mise={mise} onOpen={setOpenId} />
      <ThenList mise={mise} tasks={[...now, ...next].filter((one) => one !== task)} onOpen={setOpenId} />
      <Shorts mise={mise} />
      <Tight mise={mise} onOpen={setOpenId} />
    </>
  )
  if (isWide) {
    return (
      <>
        <PlanView mise={mise} openId={openId ?? task?.id ?? null} onOpen={setOpenId} aside={aside} />
        {sheet}
      </>
    )
  }
  return (
    <MisePage part="now" bar={bar} head={<MiseHead mise={mise} />}>
      {aside}
      {sheet}
    </MisePage>
  )
}

export function MiseHead({ mise }: { mise: Mise }) {
  const t = useWords('mise')
  const { kitchen, next, nowMs } = mise
  const zone = kitchen.timeZone
  const portions = (next?.drawn?.portions ?? []).reduce((sum, one) => sum + one.portions, 0)
  return (
    <Head
      title={next ? t('backFrom', { time: formatTime(next.fromMs, zone) }) : t('title')}
      detail={next ? t('portions', { n: portions, day: formatDay(next.fromMs, zone) }) : t('undrawn')}
      figure={formatTime(nowMs, zone)}
      figureDetail={formatDay(nowMs, zone)}
    />
  )
}
