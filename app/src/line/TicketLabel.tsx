import { Pressable, View } from 'react-native'
import { Diamond } from '../ui/icons'
import { Notice } from '../ui/Notice'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import { useLineWords } from './lineWords'
import type { Line } from './useLinePlan'
import type { ShownTicket } from './useTickets'

const LATE_S = 30

/** How much room a ticket takes [px]. */
export function ticketLabelPx(ticket: ShownTicket): number {
  const hasNote = ticket.items.some((item) => item.modifiers.length > 0)
  const allergies = ticket.items.filter((item) => item.allergies.length > 0).length
  return 64 + (hasNote ? 20 : 0) + allergies * 38
}

/** A ticket in a few words: number, what, when, and what must not be in it. */
export function TicketLabel({
  line,
  ticket,
  upMs,
  onPress,
}: {
  line: Line
  ticket: ShownTicket
  upMs: number | null
  onPress: () => void
}) {
  const t = useWords('line')
  const words = useLineWords(line)
  const lateS = upMs === null ? 0 : (upMs - ticket.promisedAtMs) / 1000
  const modifiers = words.modifiers(ticket)
  const isOf = (batches: readonly { parts: readonly { ticketId: string }[] }[]) =>
    batches.some(({ parts }) => parts.some(({ ticketId }) => ticketId === ticket.id))
  const isGone = isOf(line.gone)
  const unplanned = isGone ? 'isGone' : isOf(line.pending) ? 'planning' : 'noStation'
  return (
    <Pressable role="button" onPress={onPress} className="ring-focus min-h-14 flex-row gap-1.5 active:bg-plate">
      <Text size="lead" weight="bold" stretch="narrow" numberOfLines={1} className="min-w-8">
        {ticket.number ?? '–'}
      </Text>
      <View className="min-w-0 flex-1">
        <Text weight="bold" stretch="narrow" numberOfLines={1}>
          {words.items(ticket)}
        </Text>
        {modifiers !== '' && (
          <Text stretch="narrow" numberOfLines={1}>
            {modifiers}
          </Text>
        )}
        {ticket.items
          .filter((item) => item.allergies.length > 0)
          .map((item) => (
            <Notice
              key={item.id}
              kind="allergy"
              isSmall
              title={t('allergy', { n: item.portions, allergen: words.allergens(item.allergies) })}
            />
          ))}
        <View className="flex-row items-center gap-1">
          {lateS > LATE_S && <Diamond sizePx={12} />}
          <Text
            stretch="narrow"
            tone={lateS > LATE_S ? 'rice' : 'ash'}
            weight={lateS > LATE_S ? 'bold' : 'normal'}
            numberOfLines={1}
          >
            {upMs === null || isGone ? t(unplanned) : `${words.time(ticket.promisedAtMs)}, ${words.lateness(lateS)}`}
          </Text>
        </View>
      </View>
    </Pressable>
  )
}
