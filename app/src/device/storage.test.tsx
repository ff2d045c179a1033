import { renderHook } from '@testing-library/react'
import * as storage from './storage'

let room = 10
const stored = new Map<string, string>()
const quota = () => new DOMException('full', 'QuotaExceededError')
const setItem = jest.spyOn(Storage.prototype, 'setItem')
const getItem = jest.spyOn(Storage.prototype, 'getItem')
const removeItem = jest.spyOn(Storage.prototype, 'removeItem')
beforeEach(() => {
  room = 10
  stored.clear()
  setItem.mockImplementation((key, value) => {
    if (!stored.has(key) && stored.size >= room) throw quota()
    stored.set(key, value)
  })
  getItem.mockImplementation((key) => stored.get(key) ?? null)
  removeItem.mockImplementation((key) => void stored.delete(key))
})
afterEach(() => ['a', 'b'].forEach(storage.forget))
afterAll(() => jest.restoreAllMocks())
const trouble = () => {
  const { result, unmount } = renderHook(() => storage.useStoreTrouble('said'))
  unmount()
  return result.current
}

test('a full device: what is said holds until the page is closed, and it says so', () => {
  room = 1
  expect(storage.keep('a', '1')).toBe(true)
  expect(trouble()).toBeNull()
  expect(storage.keep('b', '2')).toBe(false)
  expect(trouble()).toBe('full')
  expect(storage.readKept('b')).toBe('2')
  expect(storage.keptKeys('')).toContain('b')
})

test('once there is room, what found none is kept, and the trouble is over', () => {
  room = 1
  storage.keep('a', '1')
  storage.keep('b', '2')
  storage.forget('a')
  expect(stored.get('b')).toBe('2')
  expect(trouble()).toBeNull()
})

test('a store that is forbidden is told apart, and nothing throws', () => {
  setItem.mockImplementation(() => {
    throw new DOMException('no', 'SecurityError')
  })
  getItem.mockImplementation(() => {
    throw new DOMException('no', 'SecurityError')
  })
  expect(storage.keep('a', '1')).toBe(false)
  expect(trouble()).toBe('forbidden')
  expect(storage.readKept('a')).toBe('1')
  expect(storage.readKept('b')).toBeNull()
  storage.forget('a')
  expect(storage.readKept('a')).toBeNull()
  expect(trouble()).toBeNull()
})
