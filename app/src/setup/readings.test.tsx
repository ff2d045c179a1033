import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { act, fireEvent, render, screen } from '@testing-library/react'
import type { Kitchen } from 'contract/kitchen'
import { startWords } from '../words/i18n'
import { ReadingsSection } from './ReadingsSection'
import { setup } from './words.en'

/** Every change that was sent, and how it is answered. */
const mockSent: { body: unknown; answer: (kitchen: unknown) => void; refuse: () => void }[] = []
jest.mock('../device/http', () => ({
  ...jest.requireActual<object>('../device/http'),
  sendJson: (_method: string, _path: string, body: unknown) =>
    new Promise((resolve, reject) => mockSent.push({ body, answer: resolve, refuse: () => reject(new Error('no')) })),
}))
beforeAll(() => startWords({ setup }))
beforeEach(() => mockSent.splice(0))

const KITCHEN = { readsIn: 'C', weighsIn: 'g', isScottish: false, ruleSet: 'us' } as Kitchen

function show() {
  const queries = new QueryClient()
  queries.setQueryData(['kitchen'], KITCHEN)
  render(
    <QueryClientProvider client={queries}>
      <ReadingsSection kitchen={KITCHEN} />
    </QueryClientProvider>,
  )
  const choose = (name: string) => fireEvent.click(screen.getByRole('radio', { name }))
  const settle = () => act(() => new Promise((resolve) => setTimeout(resolve, 0)))
  return { queries, choose, settle }
}

test('a second change stands on the first, also where the kitchen was read in between as it was before', async () => {
  const { queries, choose, settle } = show()
  choose('ounces and pounds')
  await settle()
  // An answer that was on its way before the change arrives after it.
  act(() => void queries.setQueryData(['kitchen'], KITCHEN))
  choose('°F')
  await settle()
  mockSent[0]!.answer({ ...KITCHEN, weighsIn: 'oz' })
  await settle()
  expect(mockSent.map(({ body }) => body)).toEqual([
    { readsIn: 'C', weighsIn: 'oz', isScottish: false },
    { readsIn: 'F', weighsIn: 'oz', isScottish: false },
  ])
})

test('what was refused is taken back, and the next change does not say it again', async () => {
  const { queries, choose, settle } = show()
  choose('ounces and pounds')
  await settle()
  mockSent[0]!.refuse()
  await settle()
  expect(queries.getQueryData<Kitchen>(['kitchen'])).toMatchObject({ weighsIn: 'g', readsIn: 'C' })
  choose('°F')
  await settle()
  expect(mockSent[1]!.body).toMatchObject({ readsIn: 'F', weighsIn: 'g' })
})
