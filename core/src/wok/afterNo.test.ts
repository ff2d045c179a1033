import { CHECKED_FOODS } from '../safety/limits'
import { afterNo } from './afterNo'

test.each(CHECKED_FOODS)('%s: more time first, something else each time after, and an end to it', (food) => {
  const ways = [1, 2, 3, 4, 5].map((noes) => afterNo(food, noes))
  expect(ways[0]).toBe('longer')
  expect(ways[1]).not.toBe('longer')
  expect(ways[4]).toMatch(/^away/)
  // Once nothing on this flame helps, nothing less is said again.
  const end = ways.findIndex((way) => way.startsWith('away'))
  expect(new Set(ways.slice(end)).size).toBe(1)
})

test('a piece is made smaller, rice and egg are not', () => {
  const ways = (food: (typeof CHECKED_FOODS)[number]) => [2, 3, 4].map((noes) => afterNo(food, noes))
  expect(ways('poultry')).toEqual(['lid', 'smaller', 'away'])
  expect(ways('rice')).toEqual(['lidRice', 'awayRice', 'awayRice'])
  expect(ways('egg')).not.toContain('smaller')
})
