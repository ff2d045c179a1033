import { render } from '@testing-library/react'
import type { Dish } from 'contract/dish'
import { STYLES } from 'core/book/balance/style'
import { DISH } from 'core/test/kitchen'
import { ingredient } from 'core/test/ingredients'
import { book } from './words.en'
import { startWords, useWords } from '../words/i18n'
import { dishColumns, dishRows, type DishRow } from './dishColumns'
import { shelfOf } from './useShelf'

beforeAll(() => startWords({ book }))

const priced = (id: string) => ({
  ...ingredient({ id, waterG: 60, sodiumMg: id === 'soy' ? 6000 : 10 }),
  version: 0,
  isOwn: false,
  prices: [{ fromDay: '2026-01-01', packName: 'pack', packG: 1000, priceMinor: 500 }],
})
const rowsOf = (dish: Dish, ids = DISH.components.map((one) => one.id)) =>
  dishRows(
    [dish],
    shelfOf(ids.map(priced) as never, []),
    STYLES,
    '2026-06-01',
    () => 'egg',
    () => 95,
  )
const dish = { ...DISH, priceMinor: 1200 } as unknown as Dish

test('a dish in a row: what it costs, what is left of its price, its salt and its seconds at the wok', () => {
  const [row] = rowsOf(dish)
  expect(row).toMatchObject({ name: 'Everything rice', priceMinor: 1200, contains: 'egg' })
  // Everything at 500 a kilo: the portion weighs what its ratios say.
  const massG = dish.components.reduce((sum, one) => sum + (one.ratioG * dish.portionRiceG) / 100, 0)
  expect(row!.costMinor).toBeCloseTo(massG * 0.5, 6)
  expect(row!.margin).toBeCloseTo(1 - row!.costMinor! / 1200, 9)
  expect(row!.seconds).toBe(95)
  expect(row!.saltFraction).toBeGreaterThan(0)
})

test('what has no price has no cost and no margin, rather than a guess', () => {
  const all = DISH.components.map((one) => one.id)
  const shelf = shelfOf(all.map((id) => ({ ...priced(id), ...(id === 'egg' && { prices: [] }) })) as never, [])
  const [row] = dishRows(
    [dish],
    shelf,
    STYLES,
    '2026-06-01',
    () => '',
    () => null,
  )
  expect(row).toMatchObject({ costMinor: null, margin: null })
})

function Cells({ row }: { row: DishRow }) {
  return dishColumns(useWords('book'), 'JPY').map(({ id, value, cell }) => (
    <div key={id} data-testid={id}>
      {cell ? cell(row) : String(value(row))}
    </div>
  ))
}

test('figures stand in their unit and the currency’s digits; unknown is a dash and sorts as nothing', () => {
  const row: DishRow = {
    id: 'x',
    name: 'X',
    style: 'curry',
    costMinor: null,
    priceMinor: 1200,
    margin: 0.6,
    saltFraction: 0.0082,
    liquidFraction: null,
    seconds: 282,
    findings: 1,
    contains: 'egg, soy',
  }
  const { getByTestId } = render(<Cells row={row} />)
  const text = (id: string) => getByTestId(id).textContent
  expect([text('cost'), text('price'), text('margin'), text('salt'), text('liquid'), text('seconds')]).toEqual([
    '–',
    '¥1,200',
    '60 %',
    '0.82 %',
    '–',
    '4:42',
  ])
  const columns = dishColumns(((key: string) => key) as never, 'JPY')
  expect(columns.find((one) => one.id === 'cost')!.value(row)).toBeNull()
})
