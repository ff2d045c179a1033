import fc from 'fast-check'
import { pinOfMove, pinOfSeconds, pinsAmong, withPinOf, type Pin } from './pins'

const ORDER = ['egg', 'duck', 'garlic', 'rice', 'soy']

test('what is dragged later comes after what is now before it, what is dragged earlier before what is now after it', () => {
  expect(pinOfMove(ORDER, 'duck', 2)).toEqual({ component: 'duck', after: 'garlic' })
  expect(pinOfMove(ORDER, 'soy', 0)).toEqual({ component: 'soy', before: 'egg' })
  expect(pinOfMove(ORDER, 'rice', 3)).toBeNull()
  expect(pinOfMove(ORDER, 'nori', 3)).toBeNull()
})

test('law: the pin of a move is true of the order that the move makes', () => {
  fc.assert(
    fc.property(fc.nat({ max: 4 }), fc.nat({ max: 4 }), (from, to) => {
      const component = ORDER[from]!
      const others = ORDER.filter((id) => id !== component)
      const moved = [...others.slice(0, to), component, ...others.slice(to)]
      const pin = pinOfMove(ORDER, component, to)
      if (from === to) return expect(pin).toBeNull()
      const at = (id: string) => moved.indexOf(id)
      if (pin && 'after' in pin) expect(at(component)).toBe(at(pin.after) + 1)
      else if (pin && 'before' in pin) expect(at(component)).toBe(at(pin.before) - 1)
      else throw new Error('a move is a pin')
    }),
  )
})

test('a component has one place, one time, and one word on whether it leaves', () => {
  const pins: Pin[] = [
    { component: 'duck', before: 'garlic' },
    { component: 'duck', leaves: true },
    { component: 'soy', slot: 'afterOff' },
  ]
  expect(withPinOf(pins, { component: 'duck', slot: 'afterRice' })).toEqual([
    { component: 'duck', leaves: true },
    { component: 'soy', slot: 'afterOff' },
    { component: 'duck', slot: 'afterRice' },
  ])
  expect(withPinOf(pins, { component: 'duck', forS: 40 })).toEqual([...pins, { component: 'duck', forS: 40 }])
  expect(withPinOf(pins, { component: 'duck', leaves: false })).toContainEqual({ component: 'duck', before: 'garlic' })
})

test('a pin of what is no longer in the dish is left out, whichever of its two it was', () => {
  const pins: Pin[] = [
    { component: 'duck', before: 'garlic' },
    { component: 'garlic', slot: 'afterOff' },
    { component: 'soy', after: 'duck' },
  ]
  expect(pinsAmong(pins, new Set(['duck', 'soy']))).toEqual([{ component: 'soy', after: 'duck' }])
})

test.each([
  [41.6, 42],
  [0, 3],
  [4000, 600],
])('pulled to %f s a thing is held for %i s', (pulled, forS) => {
  expect(pinOfSeconds('garlic', pulled)).toEqual({ component: 'garlic', forS })
})
