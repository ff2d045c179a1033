import { latenessChange } from './lateness'

const ticket = (number: number, promisedAtMs: number, isCancelled = false) => ({
  id: `t${number}`,
  number,
  promisedAtMs,
  isCancelled,
})
const ups = (...each: [number, number][]) =>
  new Map(each.map(([number, upMs]) => [`t${number}`, { upMs, stationId: 'ring-a' }]))

test('who comes out later is named with the seconds; who is in time either way is not', () => {
  const tickets = [ticket(1, 100_000), ticket(2, 100_000), ticket(3, 500_000)]
  const change = latenessChange(
    tickets,
    ups([1, 90_000], [2, 150_000], [3, 200_000]),
    ups([1, 160_000], [2, 260_000], [3, 400_000]),
  )
  expect(change).toEqual({
    moreS: 60 + 110,
    later: [
      { number: 2, moreS: 110 },
      { number: 1, moreS: 60 },
    ],
  })
})

test('a plan that is better counts negative; some seconds are nobody’s lateness; cancelled and unplanned tickets do not count', () => {
  const tickets = [ticket(1, 100_000), ticket(2, 100_000, true), ticket(3, 100_000)]
  expect(latenessChange(tickets, ups([1, 180_000], [2, 100_000]), ups([1, 120_000], [2, 900_000]))).toEqual({
    moreS: -60,
    later: [],
  })
  expect(latenessChange([ticket(1, 0)], ups([1, 0]), ups([1, 20_000])).later).toEqual([])
})
