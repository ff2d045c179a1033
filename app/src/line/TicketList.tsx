import { Fragment, lazy, Suspense } from 'react'
import { ScrollView } from 'react-native'
import { laterScreens } from '../ui/preloadScreens'
import type { VirtualListProps } from '../ui/VirtualList'
import type { ShownTicket } from './useTickets'

/** So many tickets are drawn at once as quickly as a part of them. */
const SHORT = 30
const LongList = lazy(() =>
  laterScreens().then(
    (screens) => ({ default: screens.VirtualList<ShownTicket> }),
    () => ({ default: PlainList }),
  ),
)

/** The open tickets; where they are many, only those that are seen are drawn, once the line stands. */
export function TicketList(props: VirtualListProps<ShownTicket>) {
  return props.items.length <= SHORT ? (
    <PlainList {...props} />
  ) : (
    <Suspense fallback={<PlainList {...props} items={props.items.slice(0, SHORT)} footer={null} />}>
      <LongList {...props} />
    </Suspense>
  )
}

function PlainList({ items, keyOf, render, header, footer }: VirtualListProps<ShownTicket>) {
  return (
    <ScrollView tabIndex={0} className="min-h-0 flex-1">
      {header}
      {items.map((ticket) => (
        <Fragment key={keyOf(ticket)}>{render(ticket)}</Fragment>
      ))}
      {footer}
    </ScrollView>
  )
}
