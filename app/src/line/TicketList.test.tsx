import { render, screen } from '@testing-library/react'
import { Text } from 'react-native'
import { laterScreens } from '../ui/preloadScreens'
import { TicketList } from './TicketList'
import type { ShownTicket } from './useTickets'

jest.mock('../ui/preloadScreens', () => ({ laterScreens: jest.fn() }))
const fetched = laterScreens as jest.Mock

const listOf = (count: number) =>
  render(
    <TicketList
      items={Array.from({ length: count }, (_, i) => ({ id: `ticket ${i}` }) as ShownTicket)}
      keyOf={({ id }) => id}
      estimatePx={() => 60}
      render={({ id }) => <Text>{id}</Text>}
      header={<Text>waiting</Text>}
      footer={<Text>later</Text>}
    />,
  )
const drawn = () => screen.getAllByText(/^ticket \d+$/).length

test('thirty tickets are all drawn, and what follows them', () => {
  listOf(30)
  expect(drawn()).toBe(30)
  expect(screen.getByText('later')).toBeTruthy()
})

test('of more, thirty are drawn until the list is there that draws what is seen; all of them where it cannot be fetched', async () => {
  let fail: (failure: Error) => void = () => undefined
  fetched.mockReturnValue(new Promise((_, reject) => (fail = reject)))
  listOf(400)
  expect(drawn()).toBe(30)
  expect(screen.getByText('waiting')).toBeTruthy()
  // What stands after all of them does not stand after some.
  expect(screen.queryByText('later')).toBeNull()
  fail(new Error('no network'))
  await screen.findByText('later')
  expect(drawn()).toBe(400)
})
