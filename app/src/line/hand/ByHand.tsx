import type { Pin } from 'core/line/plan/wishes'
import { useMemo, useState } from 'react'
import { View } from 'react-native'
import { kitchenNowMs } from '../../device/clock'
import { newId } from '../../device/ids'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { formatClock } from '../../words/format'
import { useWords } from '../../words/i18n'
import { sayWish } from '../plan/useLineState'
import { useLineWords } from '../lineWords'
import type { Line, ShownBatch } from '../useLinePlan'
import { usePrices } from './usePrices'
import { likeBatches, pinOf } from './wishing'

const WAITS_MIN = [0, 5, 10, 20] as const
const MIN_MS = 60_000
const NOTICED_S = 5
/** Batches to go with: the next ones. */
const MOST_LIKES = 3

/** What somebody wants of a batch, asked for: each answer is priced by a plan of its own, which is not worked out for nobody. */
export function ByHand({ line, batch }: { line: Line; batch: ShownBatch }) {
  const t = useWords('line')
  const [openKey, setOpenKey] = useState<string | null>(null)
  if (openKey === batch.key) return <Wishes line={line} batch={batch} />
  return <Button label={t('hand.title')} onPress={() => setOpenKey(batch.key)} />
}

/** What may be wanted of a batch, each with what it costs in lateness, and how it is said. */
function useWishing(line: Line, batch: ShownBatch) {
  const t = useWords('line')
  const nowMs = kitchenNowMs()
  const pin = useMemo(() => pinOf(batch, newId), [batch])
  // Tapped twice it is one portion by itself, not two.
  const [aloneId] = useState(() => newId())
  /** A batch that had a pin of its own gives it up for this one. */
  const say = (wanted: Pin, other: Pin | null = null) => {
    const { pin: before } = batch
    const off = other ? [{ kind: 'pin' as const, isOff: true, ...other }] : []
    sayWish(...off, { kind: 'pin', isOff: false, ...wanted })
    toast(t('hand.pinned', { dish: `${batch.dish.shortName} ${batch.portions}` }), () =>
      sayWish(
        before ? { kind: 'pin', isOff: false, ...before } : { kind: 'pin', isOff: true, ...wanted },
        ...off.map((wish) => ({ ...wish, isOff: false })),
      ),
    )
  }
  const stations = line.kitchen.stations.filter(
    ({ id, kind }) => kind === batch.dish.stationKind && !line.wishes.downStations.includes(id),
  )
  const waitMin = pin.notBeforeMs === null ? 0 : Math.max(1, Math.round((pin.notBeforeMs - nowMs) / MIN_MS))
  const waits = WAITS_MIN.map((min) => ({ min, notBeforeMs: min === 0 ? null : Math.round(nowMs + min * MIN_MS) }))
  const likes = likeBatches(line, batch).slice(0, MOST_LIKES)
  const together = (other: ShownBatch): Pin => ({
    ...pin,
    parts: [...pin.parts, ...other.parts.map(({ itemId, portions }) => ({ itemId, portions }))],
  })
  const first = pin.parts[0]
  const prices = usePrices(line, batch.key, [
    ...stations.map(({ id }) => ({ key: id, pin: { ...pin, stationId: id } })),
    ...waits.map(({ min, notBeforeMs }) => ({ key: `${min}`, pin: { ...pin, notBeforeMs } })),
    ...likes.map((other) => ({ key: other.key, pin: together(other) })),
  ])
  const price = (key: string | number) => {
    const moreS = prices.get(`${key}`) ?? 0
    if (Math.abs(moreS) < NOTICED_S) return undefined
    return moreS > 0 ? t('hand.costs', { time: formatClock(moreS) }) : t('hand.saves', { time: formatClock(-moreS) })
  }
  return { pin, aloneId, say, stations, waits, waitMin, likes, together, first, price }
}

/** A batch as somebody wants it: where, not before when, with another, or in two. */
function Wishes({ line, batch }: { line: Line; batch: ShownBatch }) {
  const t = useWords('line')
  const words = useLineWords(line)
  const { pin, aloneId, say, stations, waits, waitMin, likes, together, first, price } = useWishing(line, batch)
  return (
    <View className="gap-1 border-t border-edge pt-2">
      <Text role="heading" aria-level={3} weight="bold">
        {t('hand.title')}
      </Text>
      <Text tone="ash">{t('hand.where')}</Text>
      <View role="radiogroup" aria-label={t('hand.where')} className="-ml-3 flex-row flex-wrap">
        {stations.map(({ id, name }) => (
          <Choice
            key={id}
            role="radio"
            label={name}
            note={id === batch.stationId ? undefined : price(id)}
            isChosen={id === batch.stationId}
            onChoose={() => say({ ...pin, stationId: id })}
          />
        ))}
      </View>
      <Text tone="ash">{t('hand.notBefore')}</Text>
      <View role="radiogroup" aria-label={t('hand.notBefore')} className="-ml-3 flex-row flex-wrap">
        {waits.map(({ min, notBeforeMs }) => {
          const isChosen = min === 0 ? pin.notBeforeMs === null : min === waitMin
          return (
            <Choice
              key={min}
              role="radio"
              label={min === 0 ? t('hand.asPlanned') : t('hand.inMin', { n: min })}
              note={isChosen ? undefined : price(min)}
              isChosen={isChosen}
              onChoose={() => say({ ...pin, notBeforeMs })}
            />
          )
        })}
      </View>
      {likes.map((other) => (
        <Button
          key={other.key}
          label={t('hand.together', { portions: other.portions, tickets: words.tickets(other) })}
          detail={price(other.key)}
          onPress={() => say(together(other), other.pin)}
        />
      ))}
      {first && batch.portions > 1 && (
        <Button
          label={t('hand.oneAlone', { ticket: batch.parts[0]?.ticketNumber ?? '' })}
          onPress={() => say({ ...pinOf({ ...batch, pin: null }, () => aloneId), parts: [{ ...first, portions: 1 }] })}
        />
      )}
      {batch.pin && (
        <Button
          label={t('hand.leave')}
          onPress={() => {
            const before = pin
            sayWish({ kind: 'pin', isOff: true, ...before })
            toast(t('hand.left'), () => sayWish({ kind: 'pin', isOff: false, ...before }))
          }}
        />
      )}
    </View>
  )
}
