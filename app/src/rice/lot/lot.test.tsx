import { fireEvent, render, screen } from '@testing-library/react'
import { COOLING_LIMITS } from 'core/safety/coolingLimits'
import { lotState } from 'core/rice/lot/lot'
import type { LotEvent } from 'core/rice/lot/lotEvent'
import { forecastLot, lotOnTray } from 'core/rice/lot/lotForecast'
import { startWords } from '../../words/i18n'
import { AskReading } from './AskReading'
import { CoolingChart } from './CoolingChart'
import { ReadingBar } from './ReadingBar'

beforeAll(startWords)

describe('a reading is dialled', () => {
  const bar = (expectedC = 46.4) => {
    const onLog = jest.fn()
    render(<ReadingBar expectedC={expectedC} detail="18:20, reading 4" onLog={onLog} />)
    const log = () => screen.getByRole('button', { name: /^Log/ })
    return { onLog, log, dial: screen.getByRole('spinbutton') }
  }

  test('from what the model expects, by a knuckle', () => {
    const { onLog, log } = bar()
    expect(log().getAttribute('aria-label')).toBe('Log 46 °C, 18:20, reading 4')
    fireEvent.click(screen.getByRole('button', { name: 'Less °C' }))
    fireEvent.click(screen.getByRole('button', { name: 'Less °C' }))
    fireEvent.click(log())
    expect(onLog).toHaveBeenCalledWith(44)
  })

  test('by tapping a neighbour of the figure', () => {
    const { onLog, log } = bar()
    fireEvent.click(screen.getByText('49'))
    fireEvent.click(log())
    expect(onLog).toHaveBeenCalledWith(49)
  })

  test('by keys: arrows, pages and digits; it goes no colder than a freezer', () => {
    const { onLog, log, dial } = bar()
    for (const key of ['ArrowUp', 'PageUp', 'ArrowDown', 'ArrowDown']) fireEvent.keyDown(dial, { key })
    expect(dial.getAttribute('aria-valuenow')).toBe('55')
    for (const key of '185') fireEvent.keyDown(dial, { key })
    fireEvent.click(log())
    expect(onLog).toHaveBeenCalledWith(185)
    for (let n = 0; n < 12; n += 1) fireEvent.keyDown(dial, { key: 'PageDown' })
    expect(dial.getAttribute('aria-valuenow')).toBe('-40')
  })

  test('once logged it stands at the expectation again', () => {
    const { log, dial } = bar()
    fireEvent.keyDown(dial, { key: 'PageUp' })
    fireEvent.click(log())
    expect(dial.getAttribute('aria-valuenow')).toBe('46')
  })
})

describe('an odd reading is asked about', () => {
  const ask = (tempC: number, doubt: 'unit' | 'drop' | 'rise', meantC: number | null) => {
    const onSay = jest.fn()
    const onClose = jest.fn()
    const doubted = { doubt, meantC }
    render(<AskReading asked={{ tempC, doubted }} fromC={71} onSay={onSay} onClose={onClose} />)
    return { onSay, onClose, doubted }
  }

  test('in °F it is logged as what was meant; as it stands it is not possible', () => {
    const { onSay, onClose } = ask(185, 'unit', 85)
    expect(screen.queryByRole('button', { name: '185 °C is right' })).toBeNull()
    fireEvent.click(screen.getByRole('button', { name: 'It was °F: log 85 °C' }))
    expect(onSay).toHaveBeenCalledWith(85, null)
    expect(onClose).toHaveBeenCalled()
  })

  test('a drop that is right is said with its doubt, so that the log shows both', () => {
    const { onSay, doubted } = ask(20, 'drop', null)
    expect(screen.getByRole('heading').textContent).toBe('From 71 to 20 °C so fast?')
    fireEvent.click(screen.getByRole('button', { name: '20 °C is right' }))
    expect(onSay).toHaveBeenCalledWith(20, doubted)
  })

  test('reading again says nothing', () => {
    const { onSay, onClose } = ask(90, 'rise', null)
    fireEvent.click(screen.getByRole('button', { name: 'Read again' }))
    expect(onSay).not.toHaveBeenCalled()
    expect(onClose).toHaveBeenCalled()
  })
})

describe('the cooling chart', () => {
  const MIN_MS = 60_000
  const T0 = Date.parse('2026-11-25T14:00:00Z')
  const base = (id: string, minute: number) => ({
    id,
    lotId: 'a',
    deviceId: 'd',
    atMs: T0 + minute * MIN_MS,
    counter: 0,
  })
  const born = {
    id: 'a',
    origin: 'cooked' as const,
    bornAtMs: T0,
    cookedAtMs: null,
    massG: null,
    tempC: null,
    place: null,
    placeId: null,
    ruleSet: 'us' as const,
  }
  const read = (minute: number, tempC: number): LotEvent => ({
    ...base(`r${minute}`, minute),
    kind: 'read',
    tempC,
    source: 'dial',
    doubt: null,
  })
  const spread: LotEvent = {
    ...base('e0', 0),
    kind: 'spread',
    massG: 4000,
    tempC: 90,
    depthM: 0.038,
    trays: 1,
    place: 'fridge',
    placeId: null,
    covered: false,
    airTempC: null,
  }
  const nowMs = T0 + 40 * MIN_MS
  const state = lotState(
    born,
    [spread, read(20, 64), read(21, 63), read(35, 52)],
    { timeZone: 'UTC', keepDays: null, outMin: null },
    nowMs,
  )
  const chart = () => {
    const forecast = forecastLot(lotOnTray(state, [], nowMs)!, state, COOLING_LIMITS.us, nowMs)
    const props = { name: 'R-9', forecast, readings: state.readings, timeZone: 'UTC', nowMs }
    return render(<CoolingChart {...props} widthPx={194} heightPx={540} />)
  }

  test('says to those who hear it what was read and what is to come', () => {
    chart()
    const name = screen.getByRole('img').getAttribute('aria-label')!
    expect(name).toContain('Cooling of R-9: 90 °C at 14:00, 64 °C at 14:20, 63 °C at 14:21, 52 °C at 14:35')
    expect(name).toMatch(/21 °C at \d\d:\d\d, 5 °C at \d\d:\d\d$/)
  })

  test('draws both limits with their hour, and of readings that would overlap only the later', () => {
    const { container } = chart()
    const words = [...container.querySelectorAll('text')].map((one) => one.textContent)
    expect(words.filter((one) => one?.startsWith('by '))).toHaveLength(2)
    expect(words).toEqual(expect.arrayContaining(['over 21 °C', 'over 5 °C', '15:00', '63', '52']))
    expect(words).not.toContain('64')
  })

  test('keeps every curve inside the drawing', () => {
    const { container } = chart()
    const numbers = [...container.querySelectorAll('path')].flatMap(
      (one) =>
        (one.getAttribute('d') ?? '').match(/-?[\d.]+ -?[\d.]+/g)?.map((pair) => pair.split(' ').map(Number)) ?? [],
    )
    expect(numbers.length).toBeGreaterThan(200)
    for (const [x = 0, y = 0] of numbers) {
      expect(x).toBeGreaterThanOrEqual(0)
      expect(x).toBeLessThanOrEqual(195)
      expect(y).toBeLessThanOrEqual(541)
    }
  })
})
