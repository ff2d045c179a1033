import { fireEvent, render, screen, waitFor } from '@testing-library/react'
import { startWords } from '../words/i18n'
import type * as NoticesModule from './Notices'

const refused = (n: number) => ({
  id: `0000000${n}`,
  kind: 'runEvents',
  subjectId: 'run',
  path: '/runs/run/events',
  body: { events: [{ id: String(n), atMs: 5 }] },
  refusal: {
    type: 'x',
    title: 'x',
    status: 422,
    detail: 'x',
    faults: [],
    code: 'clock-ahead',
    values: { aheadS: 345_597 },
  },
  failures: 0,
})

test('of many entries that were not taken one is shown, with how many there are; put away, the next follows', async () => {
  for (const n of [1, 2, 3]) localStorage.setItem(`okazu.outbox/0000000${n}`, JSON.stringify(refused(n)))
  global.fetch = jest.fn(() => Promise.reject(new TypeError('no network')))
  startWords()
  const { Notices } = jest.requireActual<typeof NoticesModule>('./Notices')
  render(<Notices />)
  expect(screen.getByText('Not taken by the kitchen: 1 of 3')).toBeTruthy()
  expect(screen.getAllByRole('button', { name: 'Put it away' })).toHaveLength(1)
  expect(screen.getByText(/This entry is of 4 days from now/)).toBeTruthy()
  fireEvent.click(screen.getByRole('button', { name: 'Put it away' }))
  await waitFor(() => expect(screen.getByText('Not taken by the kitchen: 1 of 2')).toBeTruthy())
  expect(Object.keys(localStorage).filter((key) => key.startsWith('okazu.outbox/'))).toHaveLength(2)
})
