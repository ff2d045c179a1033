import { act, fireEvent, render, screen } from '@testing-library/react'
import { lotState } from 'core/rice/lot/lot'
import type { LotEvent } from 'core/rice/lot/lotEvent'
import { forecastLot, lotOnTray } from 'core/rice/lot/lotForecast'
import { NONE, WORKING } from '../../device/worked'
import { startWords } from '../../words/i18n'
import { rice } from '../words.en'
import { AskReading, type AskedReading } from './AskReading'
import { CoolingChart } from './CoolingChart'
import { ReadingBar, type ReadingBarProps } from './ReadingBar'

beforeAll(() => startWords({ rice }))

describe('a reading is measured, not agreed to', () => {
  const bar = (change: Partial<ReadingBarProps> = {}) => {
    const onLog = jest.fn()
    const props: ReadingBarProps = {
      readsIn: 'C',
      aroundC: 46.4,
      expectedC: { kind: 'value', value: 41.2 },
      detail: '18:20, reading 4',
      onLog,
    }
    render(<ReadingBar {...props} {...change} />)
    const log = () => screen.getByRole('button', { name: /^Log/ })
    return { onLog, log, dial: screen.getByRole('spinbutton') }
  }

  test('it opens empty: one tap on Log writes nothing; what the model expects is a mark beside it', () => {
    const { onLog, log, dial } = bar()
    expect(screen.getByText('model: 41 °C')).toBeTruthy()
    expect(dial.getAttribute('aria-valuenow')).toBeNull()
    expect(dial.getAttribute('aria-valuetext')).toBe('Set what the probe says')
    fireEvent.click(log())
    expect(onLog).not.toHaveBeenCalled()
  })

  test('where it decides, nothing hints at what is hoped for', () => {
    bar({ expectedC: NONE })
    expect(screen.getByText('This reading decides: measure it')).toBeTruthy()
    expect(screen.queryByText(/^model/)).toBeNull()
  })

  test('while the model is at work nothing is said of what the reading decides', () => {
    bar({ expectedC: WORKING })
    expect(screen.queryByText('This reading decides: measure it')).toBeNull()
    expect(screen.queryByText(/^model/)).toBeNull()
  })

  test('a figure near it, then a neighbour, then minus', () => {
    const { onLog, log } = bar()
    fireEvent.click(screen.getByText('40'))
    expect(log().getAttribute('aria-label')).toBe('Log 40 °C, 18:20, reading 4')
    fireEvent.click(screen.getByText('43'))
    fireEvent.click(screen.getByRole('button', { name: 'Less °C' }))
    fireEvent.click(log())
    expect(onLog).toHaveBeenCalledWith({ tempC: 42, tempF: null })
  })

  test('by keys: arrows, pages and digits; it goes no colder than a freezer', () => {
    const { onLog, log, dial } = bar()
    for (const key of ['ArrowUp', 'PageUp', 'ArrowDown', 'ArrowDown']) fireEvent.keyDown(dial, { key })
    expect(dial.getAttribute('aria-valuenow')).toBe('54')
    for (const key of '185') fireEvent.keyDown(dial, { key })
    fireEvent.click(log())
    expect(onLog).toHaveBeenCalledWith({ tempC: 185, tempF: null })
    for (let n = 0; n < 30; n += 1) fireEvent.keyDown(dial, { key: 'PageDown' })
    expect(dial.getAttribute('aria-valuenow')).toBe('-40')
  })

  test('once logged it is empty again', () => {
    const { log, dial } = bar()
    fireEvent.keyDown(dial, { key: 'PageUp' })
    fireEvent.click(log())
    expect(dial.getAttribute('aria-valuenow')).toBeNull()
  })

  test('in a kitchen that reads °F it is kept as it was read', () => {
    const { onLog, log, dial } = bar({ readsIn: 'F', aroundC: 5 })
    for (const key of '41') fireEvent.keyDown(dial, { key })
    fireEvent.click(log())
    expect(onLog).toHaveBeenCalledWith({ tempC: 5, tempF: 41 })
  })
})

describe('a reading is asked about before it is said', () => {
  const show = (input: AskedReading) => {
    const onSay = jest.fn()
    const onClose = jest.fn()
    render(<AskReading input={input} readsIn="C" name="R-9" fromC={71} onSay={onSay} onClose={onClose} />)
    return { onSay, onClose }
  }
  const odd = (tempC: number, doubt: 'unit' | 'drop' | 'rise', meantC: number | null) =>
    show({ kind: 'odd', read: { tempC, tempF: null }, doubted: { doubt, meantC } })

  test('in °F it is logged as what was meant; as it stands it is not possible', () => {
    const { onSay } = odd(185, 'unit', 85)
    expect(screen.queryByRole('button', { name: '185 °C is right' })).toBeNull()
    fireEvent.click(screen.getByRole('button', { name: 'It was °F: log 85 °C' }))
    expect(onSay).toHaveBeenCalledWith({ tempC: 85, tempF: 185 }, false)
  })

  test('a drop that is right is said with its doubt, so that the log shows both', () => {
    const { onSay } = odd(20, 'drop', null)
    expect(screen.getByRole('heading').textContent).toBe('From 71 °C to 20 °C so fast?')
    fireEvent.click(screen.getByRole('button', { name: '20 °C is right' }))
    expect(onSay).toHaveBeenCalledWith({ tempC: 20, tempF: null }, true)
  })

  test('reading again says nothing', () => {
    const { onSay, onClose } = odd(90, 'rise', null)
    fireEvent.click(screen.getByRole('button', { name: 'Read again' }))
    expect(onSay).not.toHaveBeenCalled()
    expect(onClose).toHaveBeenCalled()
  })

  test('what would refuse the lot says so with its time, and is held rather than tapped', () => {
    jest.useFakeTimers()
    const { onSay } = show({ kind: 'refuses', read: { tempC: 30, tempF: null }, isDoubted: false, after: '3:12' })
    expect(screen.getByRole('heading').textContent).toBe('30 °C refuses R-9')
    expect(screen.getByText(/^30 °C 3:12 after its clock began breaks the limit.* Measured twice\?$/)).toBeTruthy()
    const hold = screen.getByRole('button', { name: /^Hold: measured twice/ })
    fireEvent.keyDown(hold, { key: 'Enter' })
    fireEvent.keyUp(hold, { key: 'Enter' })
    expect(onSay).not.toHaveBeenCalled()
    fireEvent.keyDown(hold, { key: 'Enter' })
    act(() => jest.advanceTimersByTime(1500))
    expect(onSay).toHaveBeenCalledWith({ tempC: 30, tempF: null }, false)
    jest.useRealTimers()
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
    { timeZone: 'UTC', keepDays: null, outMin: null, leadIds: [] },
    nowMs,
  )
  const chart = () => {
    const forecast = forecastLot(lotOnTray(state, [], nowMs)!, state, 'us')
    const props = { name: 'R-9', forecast, readings: state.readings, timeZone: 'UTC', readsIn: 'C' as const, nowMs }
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
        (one.getAttribute('d') ?? '').match(/-?[\d.]+[ ,]-?[\d.]+/g)?.map((pair) => pair.split(/[ ,]/).map(Number)) ??
        [],
    )
    expect(numbers.length).toBeGreaterThan(200)
    for (const [x = 0, y = 0] of numbers) {
      expect(x).toBeGreaterThanOrEqual(0)
      expect(x).toBeLessThanOrEqual(195)
      expect(y).toBeLessThanOrEqual(541)
    }
  })
})
