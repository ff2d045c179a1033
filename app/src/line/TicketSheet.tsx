import { View } from 'react-native'
import { HoldButton } from '../ui/HoldButton'
import { Notice } from '../ui/Notice'
import { Sheet } from '../ui/Sheet'
import { Text } from '../ui/Text'
import { toast } from '../ui/Toast'
import { useWords } from '../words/i18n'
import { TicketByHand } from './hand/TicketByHand'
import { useLineWords } from './lineWords'
import type { Line } from './useLinePlan'
import { sayOfTicket, type ShownTicket } from './useTickets'

/** One ticket: its lines, and the way to cancel it, which can be taken back. */
export function TicketSheet({
  line,
  ticket,
  onClose,
}: {
  line: Line
  ticket: ShownTicket | null
  onClose: () => void
}) {
  const t = useWords('line')
  const words = useLineWords(line)
  if (!ticket) return null
  const number = ticket.number ?? ''
  const isFired = ticket.items.some((item) => item.firedPortions > 0)
  const cancel = () => {
    sayOfTicket(ticket.id, 'cancelled')
    toast(t('cancelled', { number }), () => sayOfTicket(ticket.id, 'restored'))
    onClose()
  }
  return (
    <Sheet title={t('ticketNo', { number })} isOpen onClose={onClose}>
      <View className="gap-3">
        <Text size="step">{words.items(ticket)}</Text>
        {words.modifiers(ticket) !== '' && <Text>{words.modifiers(ticket)}</Text>}
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
        <Text tone="ash">
          {[ticket.kind === 'take' ? t('take') : t('dine'), ticket.place, words.time(ticket.promisedAtMs)]
            .filter(Boolean)
            .join(' · ')}
        </Text>
        <TicketByHand line={line} ticket={ticket} />
        {!isFired && <HoldButton label={t('cancelTicket')} detail={t('cancelHold')} onHeld={cancel} />}
      </View>
    </Sheet>
  )
}
