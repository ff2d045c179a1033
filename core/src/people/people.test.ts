import fc from 'fast-check'
import { afterWrongPin, waitMs, type PinTries } from './pinTries'
import { ACTIONS, isAtLine, isLead, may, MAY, needsPin, ROLES } from './roles'

test.each([
  ['owner', 'rules', true],
  ['lead', 'rules', false],
  ['lead', 'people', false],
  ['lead', 'price', false],
  ['lead', 'accept', true],
  ['cook', 'accept', false],
  ['cook', 'decide', false],
  ['cook', 'cook', true],
  ['prep', 'cook', false],
  ['prep', 'prepare', true],
  ['trainee', 'prepare', false],
  ['trainee', 'rehearse', true],
  ['trainee', 'read', true],
] as const)('%s: %s is %s', (role, action, is) => {
  expect(may(role, action)).toBe(is)
})

test('law: whatever a lead may, the owner may; a device alone may no more than a trainee', () => {
  for (const action of ACTIONS) {
    expect(MAY[action]).toContain('owner')
    if (may('lead', action)) expect(may('owner', action)).toBe(true)
    if (may(null, action)) expect(may('trainee', action)).toBe(true)
  }
})

test('whoever changes something has a PIN; a trainee only reads and needs none', () => {
  expect(ROLES.filter(needsPin)).toEqual(['owner', 'lead', 'cook', 'prep'])
  expect(ROLES.filter(isLead)).toEqual(['owner', 'lead'])
  expect(ROLES.filter(isAtLine)).toEqual(['owner', 'lead', 'cook'])
})

test('three slips cost nothing, then waits double up to five minutes', () => {
  let tries: PinTries | null = null
  const waits = Array.from({ length: 12 }, () => {
    tries = afterWrongPin(tries, 1000)
    return waitMs(tries, 1000) / 1000
  })
  expect(waits).toEqual([0, 0, 0, 5, 10, 20, 40, 80, 160, 300, 300, 300])
})

test('law: a night of guessing at one device tries fewer than 160 of 10,000 PINs', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 4000 }), (pauseMs) => {
      let tries: PinTries | null = null
      let nowMs = 0
      let count = 0
      while (nowMs < 12 * 3_600_000) {
        nowMs += waitMs(tries, nowMs) + pauseMs
        tries = afterWrongPin(tries, nowMs)
        count += 1
      }
      expect(count).toBeLessThan(160)
    }),
    { endOnFailure: true },
  )
})

test('after a quiet hour the count begins anew', () => {
  const tries = { failed: 9, waitUntilMs: 1000 }
  expect(afterWrongPin(tries, 1000 + 3_600_001).failed).toBe(1)
  expect(afterWrongPin(tries, 1000 + 3_600_000).failed).toBe(10)
})
