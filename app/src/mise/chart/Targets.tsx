import { Pressable, View } from 'react-native'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useMiseWords } from '../miseWords'
import type { Mise } from '../useKitchenPlan'
import type { PlanAxis } from './planAxis'
import type { LaneTask } from './planLanes'

const MIN_TARGET_PX = 24

/** A target on every task; the arrow keys go along in time or to another lane. */
export function Targets({
  axis,
  ordered,
  mise,
  onOpen,
}: {
  axis: PlanAxis
  ordered: readonly LaneTask[]
  mise: Mise
  onOpen: (id: string) => void
}) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const zone = mise.kitchen.timeZone
  const name = ({ task }: LaneTask) => {
    const at = task.at!
    const values = {
      task: words.task(task),
      who: words.people(task.status === 'underway' ? task.who : at.who) || t('chart.noHands'),
      from: formatTime(at.startMs, zone),
      to: formatTime(at.endMs, zone),
    }
    return at.lateS > 60
      ? t('chart.taskLate', { ...values, late: words.span(at.lateS) })
      : t('chart.task', { ...values, slack: words.span(at.slackS) })
  }
  return (
    <View
      role="group"
      aria-label={`${t('chart.title', { n: ordered.length })}. ${t('chart.keys')}`}
      className="absolute inset-0"
      {...{ onKeyDown: moveFocus }}
    >
      {ordered.map((one) => {
        const left = axis.x(one.fromMs)
        const wide = Math.max(MIN_TARGET_PX, axis.x(one.toMs) - left)
        const top = axis.y(one.fromMs, one.top)
        const tall = Math.max(MIN_TARGET_PX, axis.y(one.toMs, one.bottom) - axis.y(one.toMs, one.top))
        return (
          <Pressable
            key={one.task.id}
            role="button"
            aria-label={name(one)}
            onPress={() => onOpen(one.task.id)}
            className="ring-focus absolute"
            style={{ left, top, width: wide, height: tall }}
          />
        )
      })}
    </View>
  )
}

type Key = { key: string; preventDefault: () => void; currentTarget: unknown; target: unknown }

/** Left and right: the task before and after in time. Up and down: the nearest task of the next lane. */
function moveFocus(event: Key): void {
  if (!event.key.startsWith('Arrow')) return
  const all = [...(event.currentTarget as HTMLElement).querySelectorAll<HTMLElement>('[role="button"]')]
  const here = all.indexOf(event.target as HTMLElement)
  if (here < 0) return
  event.preventDefault()
  const next =
    event.key === 'ArrowRight'
      ? all[here + 1]
      : event.key === 'ArrowLeft'
        ? all[here - 1]
        : across(all, all[here]!, event.key === 'ArrowDown')
  next?.focus()
}

function across(all: readonly HTMLElement[], from: HTMLElement, isDown: boolean): HTMLElement | undefined {
  const here = from.getBoundingClientRect()
  const away = (one: HTMLElement) => {
    const box = one.getBoundingClientRect()
    const down = box.top - here.top
    return { one, down: isDown ? down : -down, side: Math.abs(box.left - here.left) }
  }
  return all
    .map(away)
    .filter(({ down }) => down > MIN_TARGET_PX)
    .sort((a, b) => a.down + a.side * 2 - (b.down + b.side * 2))[0]?.one
}
