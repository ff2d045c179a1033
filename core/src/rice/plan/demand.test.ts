import { portionsByService, serviceOf, sharesOfService, type Demand } from './demand'

const SERVICES = [
  { id: 'noon', fromMin: 690, toMin: 840 },
  { id: 'evening', fromMin: 1020, toMin: 1260 },
]
const sold = (day: string, minute: number, dishId: string, portions: number): Demand => ({
  day,
  minute,
  dishId,
  portions,
})

test('a minute belongs to the service it falls in, else to the nearest', () => {
  expect([690, 839, 840, 900, 1000, 1300, 0].map((minute) => serviceOf(SERVICES, minute).id)).toEqual([
    'noon',
    'noon',
    'noon',
    'noon',
    'evening',
    'evening',
    'noon',
  ])
})

test('portions add up by service, and shares by dish and boat each sum to 1', () => {
  const demand = [
    sold('2026-11-20', 700, 'duck', 3),
    sold('2026-11-20', 1040, 'duck', 6),
    sold('2026-11-20', 1060, 'crab', 2),
    sold('2026-11-21', 1040, 'crab', 4),
  ]
  expect(portionsByService(demand, SERVICES)).toEqual([
    { day: '2026-11-20', service: 'noon', portions: 3 },
    { day: '2026-11-20', service: 'evening', portions: 8 },
    { day: '2026-11-21', service: 'evening', portions: 4 },
  ])
  expect(sharesOfService(demand, SERVICES, 'evening')).toEqual({
    dishes: [
      { dishId: 'crab', share: 0.5 },
      { dishId: 'duck', share: 0.5 },
    ],
    boats: [
      { minute: 1040, share: 10 / 12 },
      { minute: 1060, share: 2 / 12 },
    ],
  })
  expect(sharesOfService([], SERVICES, 'noon')).toEqual({ dishes: [], boats: [] })
})

test('shares follow the last four weeks, not a dish that left the book', () => {
  const days = Array.from({ length: 40 }, (_, i) => new Date(Date.UTC(2026, 9, 1 + i)).toISOString().slice(0, 10))
  const demand = days.map((day, i) => sold(day, 1040, i < 12 ? 'old' : 'new', 5))
  expect(sharesOfService(demand, SERVICES, 'evening').dishes).toEqual([{ dishId: 'new', share: 1 }])
})
