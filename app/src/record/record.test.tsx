import { fireEvent, render, screen } from '@testing-library/react'
import type { RunRow } from 'contract/run'
import { record } from './words.en'
import { startWords, useWords } from '../words/i18n'
import { Pick } from '../ui/Pick'
import { runColumns } from './runColumns'

beforeAll(() => startWords({ record }))

const run = (part: Partial<RunRow>): RunRow => ({
  id: '01936f3e-0000-7000-8000-000000000001' as RunRow['id'],
  dishId: 'duck',
  dishName: 'Duck and pickled greens',
  stationId: 'ring-a',
  cookId: 'bram',
  lots: ['R-17', 'R-18'],
  portions: 2,
  tickets: [45, 46],
  riceMassG: 440,
  firedAtMs: Date.UTC(2026, 10, 26, 17, 41),
  endedAtMs: Date.UTC(2026, 10, 26, 17, 46),
  state: 'finished',
  plannedS: 290,
  actualS: 300,
  afterPromiseS: 45,
  hasAllergy: true,
  troubles: 1,
  ...part,
})
const NAMES = { station: (id: string) => `station ${id}`, cook: (id: string | null) => id ?? 'nobody' }

function Cells({ row }: { row: RunRow }) {
  const t = useWords('record')
  return runColumns(t, 'Pacific/Auckland', NAMES).map(({ id, value, cell }) => (
    <div key={id} data-testid={id}>
      {cell ? cell(row) : String(value(row))}
    </div>
  ))
}
const cells = (row: RunRow) => {
  render(<Cells row={row} />)
  return Object.fromEntries(
    ['fired', 'dish', 'portions', 'took', 'late', 'station', 'cook', 'lots', 'tickets', 'troubles'].map((id) => [
      id,
      screen.getByTestId(id).textContent,
    ]),
  )
}

test('a run in a row: by the kitchen’s clock, with what went wrong', () => {
  expect(cells(run({}))).toEqual({
    fired: '06:41 Fri 27 Nov',
    dish: 'Duck and pickled greens',
    portions: '2',
    took: '5:00',
    late: '+45 s',
    station: 'station ring-a',
    cook: 'bram',
    lots: 'R-17 + R-18',
    tickets: '45, 46',
    troubles: '1',
  })
})

test('a run that was stopped took no time and met no promise', () => {
  expect(cells(run({ state: 'stopped', afterPromiseS: null, cookId: null }))).toMatchObject({
    took: 'stopped',
    late: '',
    cook: 'nobody',
  })
})

test('sorted by plan and run, the one that took longest over its plan is last; unknown has no figure', () => {
  const { value } = runColumns(((key: string) => key) as never, 'UTC', NAMES).find((column) => column.id === 'bar')!
  expect([run({ actualS: 300 }), run({ actualS: 280 }), run({ actualS: null })].map(value)).toEqual([10, -10, null])
})

test('a filter says what is picked, offers all again, and closes', () => {
  const onPick = jest.fn()
  const of = [
    { id: 'duck', name: 'Duck' },
    { id: 'crab', name: 'Crab' },
  ]
  const { rerender } = render(<Pick label="Dish" all="all" of={of} picked={null} onPick={onPick} />)
  fireEvent.click(screen.getByRole('button', { name: 'Dish, all' }))
  fireEvent.click(screen.getByRole('radio', { name: 'Crab' }))
  expect(onPick).toHaveBeenLastCalledWith('crab')
  rerender(<Pick label="Dish" all="all" of={of} picked="crab" onPick={onPick} />)
  fireEvent.click(screen.getByRole('button', { name: 'Dish, Crab' }))
  expect(screen.getByRole('radio', { name: 'Crab' }).getAttribute('aria-checked')).toBe('true')
  fireEvent.click(screen.getByRole('radio', { name: 'all' }))
  expect(onPick).toHaveBeenLastCalledWith(null)
})
