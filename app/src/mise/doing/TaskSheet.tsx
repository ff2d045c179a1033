import { useState } from 'react'
import { View } from 'react-native'
import { usePersonId } from '../../people/me'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Sheet } from '../../ui/Sheet'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { capital } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useMiseWords } from '../miseWords'
import { sayOfMise, undoMise, type SaidOfMise } from '../useMise'
import type { Mise, MiseTask } from '../useKitchenPlan'
import { DoneShort } from './DoneShort'
import { Cautions, TaskFigures } from './NextTask'
import { DoneButton, StartButton } from './TaskBar'

type Props = { mise: Mise; task: MiseTask; onClose: () => void }
type Part = 'all' | 'short' | 'hand'

const SLOW_MIN = 10

/** Everything that can be said of one task: begun, done, done short, handed over, split, slower than planned. */
export function TaskSheet({ mise, task, onClose }: Props) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const [part, setPart] = useState<Part>('all')
  return (
    <Sheet title={words.task(task)} isOpen onClose={onClose}>
      <View className="gap-2.5">
        <TaskFigures mise={mise} task={task} />
        <Needs mise={mise} task={task} />
        <Cautions task={task} />
        {part === 'all' && <Everything mise={mise} task={task} onPart={setPart} onClose={onClose} />}
        {part === 'short' && <DoneShort mise={mise} task={task} onClose={onClose} />}
        {part === 'hand' && <HandOver mise={mise} task={task} onClose={onClose} />}
        {task.status === 'done' && <Text tone="ash">{t('doing.finished', { name: words.task(task) })}</Text>}
      </View>
    </Sheet>
  )
}

function Needs({ mise, task }: Pick<Props, 'mise' | 'task'>) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const open = task.needs.flatMap(({ taskId }) => {
    const one = mise.byId.get(taskId)
    return one && one.status !== 'done' ? [words.task(one)] : []
  })
  if (open.length === 0) return null
  return (
    <Text tone="ash" stretch="slim">
      {t('doing.needs', { list: open.slice(0, 4).join(', ') })}
    </Text>
  )
}

function Everything({ mise, task, onPart, onClose }: Props & { onPart: (part: Part) => void }) {
  const t = useWords('mise')
  const personId = usePersonId()
  if (task.status === 'done') return null
  const say = (said: SaidOfMise, done: string) => {
    const ids = sayOfMise(task.planId, said)
    toast(done, () => undoMise(task.planId, ids))
    onClose()
  }
  return (
    <>
      <View onPointerUp={() => setTimeout(onClose)}>
        {task.status === 'underway' ? (
          <DoneButton mise={mise} task={task} />
        ) : (
          <StartButton {...{ mise, task, personId }} />
        )}
      </View>
      {task.massG > 0 && (
        <Button label={t('doing.doneShort')} detail={t('doing.doneShortDetail')} onPress={() => onPart('short')} />
      )}
      {task.hands > 0 && <Button label={t('doing.hand')} onPress={() => onPart('hand')} />}
      {task.hands === 1 && !task.id.includes('~') && (
        <Button
          label={t('doing.split')}
          detail={t('doing.splitDetail')}
          onPress={() => say({ kind: 'split', taskId: task.id }, t('doing.split'))}
        />
      )}
      <Button
        label={t('doing.slow')}
        detail={t('doing.slowBy', { n: SLOW_MIN })}
        onPress={() => say({ kind: 'slow', taskId: task.id, moreS: SLOW_MIN * 60 }, t('doing.slowBy', { n: SLOW_MIN }))}
      />
    </>
  )
}

function HandOver({ mise, task, onClose }: Props) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const hand = (staffId: string | null) => {
    const ids = sayOfMise(task.planId, { kind: 'handed', taskId: task.id, staffId })
    const person = staffId === null ? t('doing.handBack') : words.person(staffId)
    toast(t('doing.handed', { task: capital(task.name), person }), () => undoMise(task.planId, ids))
    onClose()
  }
  return (
    <View role="radiogroup" aria-label={t('doing.hand')} className="flex-row flex-wrap">
      {mise.house.policy.people.map(({ staffId }) => (
        <Choice
          key={staffId}
          role="radio"
          label={words.person(staffId)}
          isChosen={(task.personId ?? task.at?.who[0]) === staffId}
          onChoose={() => hand(staffId)}
        />
      ))}
      <Choice role="radio" label={t('doing.handBack')} isChosen={false} onChoose={() => hand(null)} />
    </View>
  )
}
