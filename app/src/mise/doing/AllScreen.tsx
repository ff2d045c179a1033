import { useState } from 'react'
import { View } from 'react-native'
import { usePersonId } from '../../people/me'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Heading, MisePage } from '../MisePage'
import type { Mise } from '../useKitchenPlan'
import { WithMise } from '../WithMise'
import { Infeasible } from './Infeasible'
import { MiseHead } from './MiseScreen'
import { TaskBar } from './TaskBar'
import { TaskRow } from './ThenList'
import { TaskSheet } from './TaskSheet'
import { byStart, tasksOf } from './taskOrder'

/** Every task of every drawn plan, by service, in order of their start. */
export function AllScreen() {
  return <WithMise>{(mise) => <All mise={mise} />}</WithMise>
}

function All({ mise }: { mise: Mise }) {
  const t = useWords('mise')
  const [openId, setOpenId] = useState<string | null>(null)
  const open = openId === null ? null : (mise.byId.get(openId) ?? null)
  const personId = usePersonId()
  const { now, next } = tasksOf(mise.tasks, personId)
  const bar = <TaskBar mise={mise} task={now[0] ?? next[0] ?? null} personId={personId} onMore={setOpenId} />
  const drawn = mise.plans.filter((plan) => plan.drawn !== null)
  return (
    <MisePage part="all" head={<MiseHead mise={mise} />} bar={bar}>
      {drawn.length === 0 && <Text tone="ash">{t('undrawnDetail')}</Text>}
      <Infeasible mise={mise} />
      {drawn.map((plan) => {
        const tasks = mise.tasks.filter((task) => task.planId === plan.id).sort(byStart)
        const open = tasks.filter((task) => task.status !== 'done')
        const done = tasks.length - open.length
        return (
          <View key={plan.id}>
            <Heading detail={`${done} / ${tasks.length}`}>
              {t('services.name', {
                service: plan.serviceName,
                day: formatDay(plan.fromMs, mise.kitchen.timeZone),
                time: formatTime(plan.fromMs, mise.kitchen.timeZone),
              })}
            </Heading>
            {(plan.drawn?.keepFaults ?? []).map((fault) => (
              <KeepFault key={fault.itemId} {...fault} />
            ))}
            <View role="list">
              {open.map((task) => (
                <TaskRow key={task.id} mise={mise} task={task} onOpen={setOpenId} />
              ))}
            </View>
          </View>
        )
      })}
      <Text size="small" tone="ash" className="mt-3">
        {t('local')}
      </Text>
      {open && <TaskSheet key={open.id} mise={mise} task={open} onClose={() => setOpenId(null)} />}
    </MisePage>
  )
}

const HOUR_S = 3600

function KeepFault({ name, keepS, neededS }: { name: string; keepS: number; neededS: number }) {
  const t = useWords('mise')
  const hours = (s: number) => `${(s / HOUR_S).toFixed(1)} h`
  return (
    <View className="my-1">
      <Notice
        kind="conflict"
        isSmall
        title={t('services.keepFault', { name, keep: hours(keepS), needed: hours(neededS) })}
      />
    </View>
  )
}
