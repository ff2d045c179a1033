import { stationFigures } from 'core/wok/heat/stationFigures'
import { usualStation } from 'core/wok/heat/usualStations'
import { plateOf, plateSchema, typedPlate } from './plateForm'
import { recoveryBands, STEAMS_UNDER_C, widthPx } from './recoveryDrawing'
import { sectionDrawing } from './sectionDrawing'
import { readingsOf, stepOf, tapped, type Calibration } from './useCalibration'

const plate = { ...usualStation('wok', 3500), zoneShare: null, contact: null }
const griddle = { ...usualStation('griddle', null), zoneShare: null, contact: null }
const figuresOf = (station: typeof plate) =>
  stationFigures(station, { riceTempC: 4, handling: 'stir', efficiencyError: 0.1 })

describe('the vessel in section', () => {
  test('levels lie in their order from the bottom up, inside the vessel, one of them deciding', () => {
    const { levels, zones, leftX, rightX } = sectionDrawing(figuresOf(plate), 350, 190)
    const [dip, time, volume] = ['dip', 'time', 'volume'].map((limit) => levels.find((one) => one.limit === limit)!)
    expect(dip!.y).toBeGreaterThan(time!.y)
    expect(time!.y).toBeGreaterThan(volume!.y)
    expect(levels.filter((one) => one.isDeciding).map((one) => one.limit)).toEqual(['dip'])
    for (const level of levels) expect([level.fromX >= leftX, level.toX <= rightX]).toEqual([true, true])
    expect(zones.every((zone) => !zone.path.includes('NaN'))).toBe(true)
  })

  test('a griddle is flat, and its section has no number that is none', () => {
    const drawing = sectionDrawing(figuresOf(griddle), 350, 190)
    expect(drawing.rightX - drawing.leftX).toBeGreaterThan(250)
    expect(JSON.stringify(drawing)).not.toMatch(/NaN|null/)
  })
})

test('a ribbon is as wide as the metal is hot, cut where it begins to steam', () => {
  expect(widthPx(100, 96)).toBeLessThan(widthPx(STEAMS_UNDER_C, 96))
  expect(widthPx(500, 96)).toBe(96)
  const metal = [230, 200, 150, 130, 150].map((tempC, i) => ({ timeS: i * 60, tempC }))
  const bands = recoveryBands(metal, 96, 200)
  expect(bands.map((band) => band.heat)).toEqual(['full', 'high', 'medium', 'low', 'medium'])
  expect(bands.map((band) => band.fromS)).toEqual([0, 60, 120, 180, 240])
})

describe('a calibration by the watch', () => {
  const NEW: Calibration = { fromC: 20, water: null, dry: null, isDrySkipped: false, load: null }
  const after = (...atMs: number[]) => atMs.reduce((now, at) => tapped(now, at), NEW)

  test('four taps: water begun and ended, dry vessel begun and ended', () => {
    const steps = [[], [0], [0, 90_000], [0, 90_000, 200_000], [0, 90_000, 200_000, 240_000]].map((taps) =>
      stepOf(after(...taps)),
    )
    expect(steps).toEqual(['waterReady', 'waterRuns', 'dryReady', 'dryRuns', 'result'])
    expect(readingsOf(after(0, 90_000, 200_000, 240_000), 'toss')).toMatchObject({
      water: { seconds: 90 },
      dry: { seconds: 40 },
      load: null,
    })
  })

  test('a second tap right after the first ends nothing', () => {
    expect(stepOf(after(0, 300))).toBe('waterRuns')
    expect(readingsOf(after(0, 300), 'toss')).toBeNull()
  })

  test('the dry vessel may be left out', () => {
    const skipped = { ...after(0, 90_000), isDrySkipped: true }
    expect(stepOf(skipped)).toBe('result')
    expect(readingsOf(skipped, 'toss')?.dry).toBeNull()
  })

  test('a load counts once its metal was read, a minute after rice from the fridge', () => {
    const load = { massG: 600, startMetalC: 225, metalC: null }
    const done = { ...after(0, 90_000), isDrySkipped: true }
    expect(readingsOf({ ...done, load }, 'toss')?.load).toBeNull()
    expect(readingsOf({ ...done, load: { ...load, metalC: 170 } }, 'toss')?.load).toEqual({
      massG: 600,
      startMetalC: 225,
      metalC: 170,
      atS: 60,
      riceTempC: 4,
      handling: 'toss',
    })
  })
})

const GRAMS = { weighsIn: 'g', readsIn: 'C' } as const
const OUNCES = { weighsIn: 'oz', readsIn: 'F' } as const

describe('a plate that is typed', () => {
  const read = (typed: object, kind: 'wok' | 'griddle' = 'wok') =>
    plateSchema({ kind }, GRAMS, (key) => key).safeParse({
      ...typedPlate(kind === 'wok' ? plate : griddle, GRAMS),
      ...typed,
    })

  test('unchanged it is the same plate to the last digit', () => {
    for (const one of [
      plate,
      griddle,
      { ...plate, holdC: 240, isCoated: true },
      { ...plate, efficiency: 0.2143219, powerW: 14_987 },
    ]) {
      for (const units of [GRAMS, OUNCES]) {
        const typed = plateSchema(one, units, (key) => key).parse(typedPlate(one, units))
        expect(plateOf(typed, one, one, units)).toEqual(one)
      }
    }
  })

  test.each([
    ['acrossCm', '0', 'across'],
    ['mass', 'heavy', 'mass'],
    ['powerKw', '3500', 'power'],
    ['reachesPercent', '0.3', 'reaches'],
    ['depthCm', '25', 'depth'],
    ['hold', '20', 'hold'],
  ])('%s of "%s" is said beside its field', (field, text, fault) => {
    const result = read({ [field]: text })
    expect(result.error?.issues[0]).toMatchObject({ path: [field], message: fault })
  })

  test('a coating has its own limit, and says so beside the field', () => {
    const coated = plateSchema({ kind: 'pan', isCoated: true }, GRAMS, (key) => key)
    const typed = typedPlate(plate, GRAMS)
    expect(coated.safeParse({ ...typed, hold: '300' }).error?.issues[0]).toMatchObject({
      path: ['hold'],
      message: 'coating',
    })
    expect(plateOf(coated.parse({ ...typed, hold: '250' }), { ...plate, isCoated: true }, plate, GRAMS)).toMatchObject({
      holdC: 250,
      isCoated: true,
    })
  })

  test('pounds and °F are kept in kilograms and °C, and so are their bounds', () => {
    const shown = typedPlate(plate, OUNCES)
    const schema = plateSchema({ kind: 'wok' }, OUNCES, (key) => key)
    const kept = plateOf(schema.parse({ ...shown, mass: '4', hold: '752' }), plate, plate, OUNCES)
    expect(kept.massKg).toBeCloseTo(1.814, 3)
    expect(kept.holdC).toBeCloseTo(400, 6)
    expect(schema.safeParse({ ...shown, hold: '247' }).success).toBe(false)
    expect(schema.safeParse({ ...shown, mass: '662' }).success).toBe(false)
    expect(schema.safeParse({ ...shown, mass: '661' }).success).toBe(true)
  })

  test('a griddle needs both sides and no width across', () => {
    expect(read({}, 'griddle').success).toBe(true)
    expect(read({ lengthCm: '' }, 'griddle').error?.issues[0]?.path).toEqual(['lengthCm'])
  })
})
