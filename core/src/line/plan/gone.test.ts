import { DISH } from '../../test/kitchen'
import { goneBecause } from './gone'
import { NO_WISHES } from './wishes'

const because = (modifiers: string[], goneMatters: string[], goneDishes: string[] = []) =>
  goneBecause(DISH, { modifiers, allergies: [] }, { ...NO_WISHES, goneMatters, goneDishes }, 'us')

test('a component takes every dish with it, but not who ordered without; a dish that is off is off either way', () => {
  expect(because([], ['egg'])).toEqual({ kind: 'component', name: 'egg' })
  expect(because(['no-egg'], ['egg'])).toBeNull()
  expect(because([], ['curry'])).toBeNull()
  expect(because(['no-egg'], [], [DISH.id])).toEqual({ kind: 'dish' })
})
