import { usualStation } from 'core/wok/heat/usualStations'
import { StationPlate } from './stationPlate'

const pan = { ...usualStation('wok', 3500), kind: 'pan', depthM: null, zoneShare: null, contact: null }
const faultsOf = (plate: object) =>
  StationPlate.safeParse(plate).error?.issues.map(({ path, message }) => [path.join('.'), message]) ?? []

test('a coated pan at 300 °C is refused with what to change; at its limit it is taken', () => {
  expect(faultsOf({ ...pan, holdC: 300, isCoated: true })).toEqual([
    ['holdC', 'a coating bears 260 °C at most: give no more, or say that it is bare metal'],
  ])
  expect(faultsOf({ ...pan, holdC: 260, isCoated: true })).toEqual([])
  expect(faultsOf({ ...pan, holdC: 300 })).toEqual([])
})

test.each([
  [{ ...usualStation('griddle', null), zoneShare: null, contact: null, holdC: 230, isCoated: true }, 'isCoated'],
  [{ ...pan, diameterM: null }, 'diameterM'],
  [{ ...pan, kind: 'wok', depthM: 0.3 }, 'depthM'],
  [{ ...pan, kind: 'griddle', plateM: null }, 'plateM'],
  [{ ...pan, powerW: 3.5 }, 'powerW'],
])('what cannot be is said of its field (%#)', (plate, field) => {
  expect(faultsOf(plate).map(([path]) => path)).toContain(field)
})
