import type { Dish } from 'contract/dish'
import type { Kitchen } from 'contract/kitchen'
import { pinOfMove, withPinOf, type Pin } from 'core/book/pins'
import type { StatedSchools } from 'core/book/schools'
import type { BatchScore } from 'core/line/batchScore'
import { useState } from 'react'
import { View } from 'react-native'
import { useReadsIn } from '../../../setup/useKitchen'
import { Sortable } from '../../../ui/sortable'
import { Text } from '../../../ui/Text'
import { plainBatch, useBatchScores } from '../../../wok/useBatchScores'
import { formatClock } from '../../../words/format'
import { useWords } from '../../../words/i18n'
import { Heading } from '../../BookParts'
import { NotLikeThis } from '../../dish/NotLikeThis'
import { StationChoice, useStationChoice } from '../../dish/StationChoice'
import type { DraftHead } from '../../draft/draft'
import { entriesInOrder } from './entriesInOrder'
import { EntryRow } from './EntryRow'
import { HeatRibbon } from './HeatRibbon'
import { PinLine } from './PinLine'

type ScoreEditorProps = {
  dish: Dish
  kitchen: Kitchen
  onChange: (change: (head: DraftHead) => Partial<DraftHead>) => void
}

/** The score of what is being written: things are dragged to another place, the ribbon is pulled for heat, and the engine answers. */
export function ScoreEditor({ dish, kitchen, onChange }: ScoreEditorProps) {
  const t = useWords('book')
  const readsIn = useReadsIn()
  const { pins = [], schools } = dish
  const stations = useStationChoice(kitchen, dish)
  const { station } = stations
  const { pins: _pins, ...free } = dish
  const [worked, unpinned] = useBatchScores(
    [dish, ...(pins.length > 0 ? [free] : [])].map((one) => ({ dish: one, batch: plainBatch(1), station })),
    kitchen,
  )
  const now = worked?.kind === 'value' ? worked.value : null
  // While the next score is worked out the last one stays, so that nothing jumps and the focus is kept.
  const [last, setLast] = useState<BatchScore | null>(null)
  if (now !== null && now !== last) setLast(now)
  const answer = now ?? last
  const entries = answer?.kind === 'score' ? entriesInOrder(answer.score) : []
  const order = entries.filter(({ isPoured }) => !isPoured).map(({ componentId }) => componentId)
  const nameOf = (id: string) => dish.components.find((one) => one.id === id)?.name ?? id
  const hold = (pin: Pin) => onChange((head) => ({ pins: withPinOf(head.pins, pin) }))
  const move = (id: string, to: number) => {
    const pin = pinOfMove(order, id, to)
    if (pin) hold(pin)
  }
  const heldS = (id: string): number | null => {
    const pin = pins.find((one) => one.component === id && 'forS' in one)
    const isRefused = verdicts.some((one) => !one.isKept && pin !== undefined && isSame(one.pin, pin))
    return pin !== undefined && 'forS' in pin && !isRefused ? pin.forS : null
  }
  const verdicts =
    answer && answer.kind !== 'refused' ? (answer.kind === 'score' ? answer.derived.pins : answer.pins) : []
  return (
    <View className="gap-2">
      <Heading>{headingOf(answer, t('dish.score', { station: station?.name ?? '–' }))}</Heading>
      <Text tone="ash">{t('scoreEditor.how')}</Text>
      <StationChoice {...stations} />
      <View aria-live="polite">
        {worked?.kind === 'working' && <Text tone="ash">{t('score.workingScore')}</Text>}
        {pins.map((pin) => (
          <PinLine
            key={JSON.stringify(pin)}
            pin={pin}
            verdict={(now && verdicts.find((one) => isSame(one.pin, pin))) ?? null}
            nameOf={nameOf}
            onUnpin={() => onChange((head) => ({ pins: head.pins.filter((one) => !isSame(one, pin)) }))}
          />
        ))}
        <Cost pinned={now} unpinned={unpinned?.kind === 'value' ? unpinned.value : null} />
      </View>
      {!station && <Text tone="ash">{t('score.noStationFor')}</Text>}
      {answer?.kind === 'infeasible' && station && (
        <NotLikeThis dish={dish} finding={answer.finding} stationName={station.name} readsIn={readsIn} />
      )}
      {answer?.kind === 'score' && (
        <View className="flex-row gap-3">
          <HeatRibbon
            score={answer.score}
            stated={schools.heat}
            onHeat={(heat) => onChange((head) => ({ schools: withHeat(head.schools, heat) }))}
          />
          <View role="list" aria-label={t('scoreEditor.list')} className="min-w-0 flex-1">
            <Sortable ids={order} nameOf={nameOf} onMove={move}>
              {entries.map((entry) => (
                <EntryRow
                  key={entry.componentId}
                  entry={entry}
                  cut={dish.components.find(({ id }) => id === entry.componentId)?.cut ?? null}
                  pins={pins.filter((pin) => pin.component === entry.componentId)}
                  heldS={heldS(entry.componentId)}
                  onPin={hold}
                  onUnpin={() =>
                    onChange((head) => ({ pins: head.pins.filter((pin) => pin.component !== entry.componentId) }))
                  }
                />
              ))}
            </Sortable>
          </View>
        </View>
      )}
    </View>
  )
}

const isSame = (a: Pin, b: Pin) => JSON.stringify(a) === JSON.stringify(b)

function withHeat(schools: StatedSchools, heat: NonNullable<StatedSchools['heat']>): StatedSchools {
  const { heat: _before, ...others } = schools
  return heat === 'auto' ? others : { ...others, heat }
}

const headingOf = (answer: BatchScore | null, words: string): string =>
  answer?.kind === 'score' ? `${words}, ${formatClock(answer.score.totalS)}` : words

/** What the pins cost: seconds against the score without them. */
function Cost({ pinned, unpinned }: { pinned: BatchScore | null; unpinned: BatchScore | null }) {
  const t = useWords('book')
  if (pinned?.kind !== 'score' || unpinned?.kind !== 'score') return null
  const moreS = pinned.score.totalS - unpinned.score.totalS
  return (
    <Text weight="bold">
      {moreS === 0
        ? t('scoreEditor.costsNothing')
        : t(moreS > 0 ? 'scoreEditor.slower' : 'scoreEditor.faster', {
            seconds: Math.abs(moreS),
            time: formatClock(unpinned.score.totalS),
          })}
    </Text>
  )
}
