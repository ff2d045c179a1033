import type { StationTimes } from 'core/line/stationTimes'
import type * as KeptTimes from './keptTimes'

const TIMES: StationTimes = { seconds: [150, 171], handsOff: { fromShare: 0.25, toShare: 0.5 } }
type Module = typeof KeptTimes

/** A page that is opened on this device, of a program whose wok worker has this name. */
function openPage(program: string): Module {
  document.head.innerHTML = `<meta name="workers" content='{"wok":"${program}"}'>`
  let page: Module | undefined
  jest.isolateModules(() => (page = jest.requireActual<Module>('./keptTimes')))
  return page!
}
/** Time passes until what was worked out is written down. */
const later = () => jest.advanceTimersByTime(2000)

beforeEach(() => {
  localStorage.clear()
  jest.useFakeTimers()
})
afterEach(() => {
  jest.restoreAllMocks()
  jest.useRealTimers()
})

test('what one page worked out the next one knows, for exactly what it depends on', () => {
  openPage('wok-1.js').keepTimes('4 °C duck on ring A', TIMES)
  later()
  const next = openPage('wok-1.js')
  expect(next.timesBefore('4 °C duck on ring A')).toEqual(TIMES)
  expect(next.timesBefore('5 °C duck on ring A')).toBeNull()
})

test('what another program worked out is not taken, and makes room for what this one does', () => {
  openPage('wok-1.js').keepTimes('duck', TIMES)
  later()
  const newer = openPage('wok-2.js')
  expect(newer.timesBefore('duck')).toBeNull()
  newer.keepTimes('plain', { seconds: [120] })
  later()
  expect(openPage('wok-2.js').timesBefore('plain')).toEqual({ seconds: [120] })
  expect(openPage('wok-1.js').timesBefore('duck')).toBeNull()
})

test.each(['{broken', '{"program":"wok-1.js","times":[["a",{"seconds":["soon"]}]]}', 'null', '[]'])(
  'what cannot be read, as %s, is worked out again',
  (text) => {
    localStorage.setItem('okazu.times', text)
    expect(openPage('wok-1.js').timesBefore('a')).toBeNull()
  },
)

test('a device without room goes on, and knows them as long as the page is open', () => {
  const page = openPage('wok-1.js')
  jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError')
  })
  page.keepTimes('duck', TIMES)
  expect(later).not.toThrow()
  expect(page.timesBefore('duck')).toEqual(TIMES)
})

test('of very many the oldest go', () => {
  const page = openPage('wok-1.js')
  for (let n = 0; n < 500; n += 1) page.keepTimes(`dish ${n}`, TIMES)
  later()
  const next = openPage('wok-1.js')
  expect(next.timesBefore('dish 0')).toBeNull()
  expect(next.timesBefore('dish 499')).toEqual(TIMES)
  expect(localStorage.getItem('okazu.times')!.length).toBeLessThan(60_000)
})
