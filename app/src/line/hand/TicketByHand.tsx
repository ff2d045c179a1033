import { View } from 'react-native'
import { kitchenNowMs } from '../../device/clock'
import { OneOf } from '../../ui/OneOf'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { sayWish } from '../plan/useLineState'
import type { Line } from '../useLinePlan'
import type { ShownTicket } from '../useTickets'

const WEIGHTS = [
  { weight: 1, word: 'any' },
  { weight: 2, word: 'before' },
  { weight: 3, word: 'first' },
] as const
const WAITS_MIN = [0, 5, 10, 20] as const
const MIN_MS = 60_000

/** How much a ticket counts against others, and whether it waits. */
export function TicketByHand({ line, ticket }: { line: Line; ticket: ShownTicket }) {
  const t = useWords('line')
  const nowMs = kitchenNowMs()
  const { weight, notBeforeMs } = line.wishes.tickets.get(ticket.id) ?? { weight: 1, notBeforeMs: null }
  const say = (change: { weight?: number; notBeforeMs?: number | null }) =>
    sayWish({ kind: 'ticket', ticketId: ticket.id, weight, notBeforeMs, ...change })
  const isHeld = notBeforeMs !== null && notBeforeMs > nowMs
  const heldMin = isHeld ? Math.round((notBeforeMs - nowMs) / MIN_MS) : 0
  return (
    <View className="gap-1">
      <Text tone="ash">{t('hand.weight')}</Text>
      <OneOf
        name={t('hand.weight')}
        of={WEIGHTS.map(({ word }) => word)}
        chosen={(WEIGHTS.find((one) => one.weight === weight) ?? WEIGHTS[0]).word}
        words={(word) => t(`hand.weights.${word}`)}
        onChoose={(word) => say({ weight: WEIGHTS.find((one) => one.word === word)!.weight })}
      />
      <Text tone="ash">{t('hand.hold')}</Text>
      <OneOf
        name={t('hand.hold')}
        of={WAITS_MIN}
        chosen={WAITS_MIN.find((min) => min === heldMin) ?? null}
        words={(min) => (min === 0 ? t('hand.noHold') : t('hand.inMin', { n: min }))}
        onChoose={(min) => say({ notBeforeMs: min === 0 ? null : Math.round(nowMs + min * MIN_MS) })}
      />
    </View>
  )
}
