import { useState } from 'react'
import ChevronRight from 'lucide-react-native/icons/chevron-right'
import { Pressable, View } from 'react-native'
import { CutDrawing } from '../../book/dish/CutDrawing'
import { PersonSheet } from '../../people/PersonSheet'
import { Icon } from '../../ui/icons'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { capital, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useMiseWords } from '../miseWords'
import type { Mise, MiseTask } from '../useKitchenPlan'
import { dueMs } from './taskOrder'
import { useMassWords } from '../../setup/useMassWords'

type Props = { mise: Mise; task: MiseTask | 'working' | null; personId: string | null }

/** My next task: whose, what, how much, how fine, by when, and what may hurt. */
export function NextTask({ mise, task, personId }: Props) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const zone = mise.kitchen.timeZone
  return (
    <View className="gap-1 pt-1">
      <WhoAmI mise={mise} personId={personId} />
      {task !== null && task !== 'working' ? (
        <>
          <Text role="heading" aria-level={2} size="amount" weight="bold" stretch="slim">
            {words.task(task)}
          </Text>
          <TaskFigures mise={mise} task={task} />
          {task.cut && <TrueScale task={task} />}
          {task.status === 'open' && task.at && (
            <View className="mt-1 flex-row items-baseline gap-3">
              <Text tone="ash">
                {t(
                  task.at.latestStartMs !== null && task.at.latestStartMs < mise.nowMs
                    ? 'doing.latestPast'
                    : 'doing.latest',
                )}
              </Text>
              <Text size="action" weight="bold" stretch="narrow">
                {formatTime(task.at.latestStartMs ?? task.at.startMs, zone)}
              </Text>
            </View>
          )}
          {task.status === 'underway' && <Remaining mise={mise} task={task} />}
          <Cautions task={task} />
        </>
      ) : (
        <Text role="heading" aria-level={2} size="amount" weight="bold" stretch="slim">
          {t(task === 'working' ? 'doing.working' : 'doing.rest')}
        </Text>
      )}
    </View>
  )
}

export function TaskFigures({ mise, task }: { mise: Mise; task: MiseTask }) {
  const { mass } = useMassWords()
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const massG = task.massG * task.share
  const facts = [
    massG > 0 ? mass(massG) : '',
    words.cut(task.cut),
    words.span(task.durationS),
    task.pans ? t('pans', { count: task.pans.count, size: task.pans.size, depth: task.pans.depthMm }) : '',
    task.equipment.map((id) => toolName(mise, id)).join(', '),
  ]
  return (
    <Text size="step" weight="semi" stretch="slim">
      {facts.filter(Boolean).join(' · ')}
    </Text>
  )
}

export const toolName = (mise: Mise, id: string): string =>
  mise.house.policy.equipment.find((one) => one.id === id)?.name ?? capital(id.replace('vessel:', ''))

/** The cut beside a grain of rice, both four times their size: what it should look like on the board. */
function TrueScale({ task }: { task: MiseTask }) {
  const t = useWords('mise')
  return (
    <View className="flex-row items-center gap-3">
      <CutDrawing cut={task.cut} role="vegetable" />
      <Text size="small" tone="ash" className="min-w-0 flex-1">
        {t('doing.beside')}
      </Text>
    </View>
  )
}

/** A clock that survives a reload: it counts from when the task was begun. */
function Remaining({ mise, task }: { mise: Mise; task: MiseTask }) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const leftS = (dueMs(task) - mise.nowMs) / 1000
  return (
    <View className="mt-1 flex-row items-baseline gap-3">
      <Text size="action" weight="bold" stretch="narrow">
        {leftS < -60 ? t('doing.overBy', { time: words.span(leftS) }) : words.span(Math.max(0, leftS))}
      </Text>
      <Text tone="ash" className="min-w-0 flex-1">
        {leftS < -60
          ? t('doing.overTime', { time: formatTime(dueMs(task), mise.kitchen.timeZone) })
          : t('doing.doneDetail', { time: formatTime(dueMs(task), mise.kitchen.timeZone) })}
      </Text>
    </View>
  )
}

export function Cautions({ task }: { task: MiseTask }) {
  const t = useWords('mise')
  if (task.cautions.length === 0) return null
  return (
    <View className="mt-2">
      <Notice kind="hazard" isSmall title={task.cautions.map((one) => t(`cautions.${one}`)).join(' ')}>
        {t('cautionLocal')}
      </Notice>
    </View>
  )
}

/** Whoever holds this phone; a tap changes it. */
function WhoAmI({ mise, personId }: { mise: Mise; personId: string | null }) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const [isOpen, setIsOpen] = useState(false)
  const label = personId === null ? t('doing.someone') : t('doing.me', { name: words.person(personId) })
  return (
    <>
      <Pressable
        role="button"
        aria-label={`${label}. ${t('doing.who')}`}
        onPress={() => setIsOpen(true)}
        className="ring-focus min-h-14 flex-row items-center gap-2 self-start pr-3"
      >
        <Text weight="semi" tone="ash" size="step">
          {label}
        </Text>
        <Icon as={ChevronRight} sizePx={16} />
      </Pressable>
      <PersonSheet isOpen={isOpen} onClose={() => setIsOpen(false)} />
    </>
  )
}
