import { usePreloadedScreens } from '../ui/preloadScreens'
import { useIsWide } from '../ui/useIsWide'
import { Frame } from '../ui/Frame'
import { Loading, Problem } from '../ui/states'
import { useWords } from '../words/i18n'
import { PhoneLine } from './PhoneLine'
import { PhoneLineBar } from './PhoneLineBar'
import { useFire } from './useFire'
import { useLinePlan, type ShownBatch } from './useLinePlan'
import type { ShownTicket } from './useTickets'
import { WideLine } from './WideLine'
import { TicketSheet } from './TicketSheet'
import { useDeferredValue, useState } from 'react'
import { batchToFire } from './nextForHands'

export function LineScreen() {
  usePreloadedScreens()
  const t = useWords('line')
  const { line: now, error, refetch } = useLinePlan()
  // The first line is drawn in slices: a phone that has just begun to answer must not stop for it.
  const isBegun = useDeferredValue(now) !== null
  const line = isBegun ? now : null
  const fire = useFire()
  const isWide = useIsWide()
  const [chosenKey, setChosenKey] = useState<string | null>(null)
  const [ticketId, setTicketId] = useState<string | null>(null)
  if (!line) {
    return (
      <Frame stage="line">
        {error ? <Problem error={error} onRetry={() => void refetch()} /> : <Loading what={t('loading')} />}
      </Frame>
    )
  }
  const batch = batchToFire(line, chosenKey)
  const view = {
    line,
    batch,
    fire,
    onBatch: (one: ShownBatch) => {
      fire.clearError()
      setChosenKey(one.key)
    },
    onTicket: (ticket: ShownTicket) => setTicketId(ticket.id),
  }
  const ticket = line.tickets.find((one) => one.id === ticketId) ?? null
  return (
    <Frame stage="line" bar={<PhoneLineBar {...view} />}>
      {isWide ? <WideLine {...view} /> : <PhoneLine {...view} />}
      <TicketSheet line={line} ticket={ticket} onClose={() => setTicketId(null)} />
    </Frame>
  )
}
