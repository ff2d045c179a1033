import type { RiceHouse } from 'contract/riceHouse'
import type { ShownLot } from '../useLots'
import { wallPlaces } from './wallColumns'

const place = (id: string, kind: string, airTempC: number | null = null) => ({ id, name: id, kind, airTempC, trays: 4 })
const house = {
  places: [
    place('bench', 'bench', 21),
    place('walk-in', 'fridge', 3.4),
    place('second', 'fridge'),
    place('freezer', 'freezer'),
  ],
} as unknown as RiceHouse
const WORDS = { heat: 'On the heat', elsewhere: 'Elsewhere' }

const lot = (id: string, part: Partial<ShownLot['state']>, bornAtMs = 0): ShownLot => ({
  lot: { id, name: id, bornAtMs } as ShownLot['lot'],
  state: {
    stage: 'ready',
    massG: 1000,
    useByMs: 100,
    cookedAtMs: 1,
    isUsable: true,
    place: 'fridge',
    placeId: null,
    ...part,
  } as ShownLot['state'],
  isUnsent: false,
})
const shown = (...lots: ShownLot[]) =>
  wallPlaces(lots, house, WORDS).map(({ name, columns }) => [
    name,
    columns.map((one) => `${one.shown.lot.id}${one.order ?? ''}`),
  ])

test('the heat stands first, then places in the house’s order; empty ones are left out', () => {
  expect(
    shown(
      lot('frozen', { stage: 'frozen', place: 'freezer', isUsable: false }),
      lot('cooking', { stage: 'cooking', place: null, isUsable: false }),
      lot('out', { stage: 'tempering', place: 'bench' }),
    ),
  ).toEqual([
    ['On the heat', ['cooking']],
    ['bench', ['out1']],
    ['freezer', ['frozen']],
  ])
})

test('within a place what is used first stands first, then what is oldest', () => {
  expect(
    shown(
      lot('warm-young', { stage: 'cooling', isUsable: false }, 20),
      lot('warm-old', { stage: 'cooling', isUsable: false }, 10),
      lot('later', { useByMs: 300 }),
      lot('sooner', { useByMs: 200 }),
    ),
  ).toEqual([['walk-in', ['sooner1', 'later2', 'warm-old', 'warm-young']]])
})

test('a lot without a named place stands in the first of its kind; one whose place is gone stands elsewhere', () => {
  expect(shown(lot('a', {}), lot('b', { placeId: 'second' }), lot('c', { placeId: 'sold', useByMs: 500 }))).toEqual([
    ['walk-in', ['a1']],
    ['second', ['b2']],
    ['Elsewhere', ['c3']],
  ])
})

test('no lot, no wall', () => {
  expect(shown()).toEqual([])
})
