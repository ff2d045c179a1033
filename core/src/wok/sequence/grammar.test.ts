import { CARROT, CHICKEN, GREENS, ONION, PASTE, PEAS, SHRIMP, aBatch } from '../../test/wokDishes'
import type { SchoolName, StatedSchools } from '../../book/schools'
import { axesOf, majorChoices } from './choices'
import { startDeriving } from './derive'
import { movesOf } from './grammar'
import type { Move } from './moves'
import type { Choice, ComponentInput } from './vocabulary'

/** The moves of one choice of a dish, each as a word: what it is, or what goes in. */
function wordsOf(more: readonly ComponentInput[], schools: StatedSchools, choice: Partial<Choice> = {}): string[] {
  const { parts, station } = startDeriving(aBatch(more, schools))
  const usual = majorChoices(axesOf(schools, parts, station), schools)[0]!
  const stated = Object.fromEntries(Object.entries(schools).filter(([, value]) => value !== 'auto'))
  return movesOf(parts, { ...usual, ...stated, ...choice }).map(wordOf)
}
const wordOf = ({ kind, slot, ids }: Move): string =>
  kind === 'in'
    ? ids.join('+') || slot
    : kind === 'out'
      ? `>${ids.join('+')}`
      : kind === 'back'
        ? `<${ids.join('+')}`
        : slot
const from = (words: readonly string[], id: string) => words.findIndex((word) => word.split('+').includes(id))

/** The plain dish, its egg in every way: the moves as the trade works them, common practice. */
test.each<[NonNullable<StatedSchools['egg']>, string]>([
  ['firstOut', 'oil egg >egg oil garlic oil? rice salt <egg soy hotCheck off scallion'],
  ['threads', 'oil egg >egg oil garlic oil? rice salt <egg soy hotCheck off scallion'],
  ['firstUnder', 'oil garlic >garlic oil egg rice salt <garlic soy hotCheck off scallion'],
  ['inPassing', 'oil garlic egg rice salt soy hotCheck off scallion'],
  ['well', 'oil garlic rice salt egg soy hotCheck off scallion'],
  ['wellBeforeRice', 'oil garlic egg rice salt soy hotCheck off scallion'],
  ['sheet', 'oil egg >egg oil garlic oil? rice salt soy <egg hotCheck off scallion'],
  ['onTop', 'oil garlic rice salt soy hotCheck off scallion top'],
])('egg %s', (egg, moves) => {
  const wanted = moves.split(' ').filter((word) => !word.endsWith('?'))
  expect(wordsOf([], { egg })).toEqual(wanted)
})

test('an egg that coats the grains goes in with the rice, into an empty vessel', () => {
  const words = wordsOf([ONION], { egg: 'coated' })
  expect(words.some((word) => word.startsWith('>') && word.includes('onion'))).toBe(true)
  expect(words.find((word) => word.includes('rice'))).toContain('egg')
})

describe('the order of the base', () => {
  const base = (order: Choice['order'], more: readonly ComponentInput[]) => {
    const words = wordsOf(more, { egg: 'onTop', rawProtein: 'inSequence' }, { order })
    return words.slice(1, from(words, 'rice')).filter((word) => !['check', 'oil'].includes(word))
  }
  test.each<[Choice['order'], string]>([
    ['slowFirst', 'carrot+onion peas garlic shrimp'],
    ['roles', 'onion garlic carrot shrimp peas'],
    ['proteinFirst', 'shrimp carrot+onion peas garlic'],
  ])('%s', (order, wanted) =>
    expect(
      base(order, [ONION, CARROT, SHRIMP, PEAS])
        .map((word) => word.split('+').sort().join('+'))
        .join(' '),
    ).toBe(wanted),
  )

  test('a paste goes in first, after the aromatics or after the protein', () => {
    const at = (paste: Choice['paste']) => {
      const words = wordsOf([PASTE, CHICKEN], { egg: 'onTop', rawProtein: 'inSequence', paste }, { order: 'slowFirst' })
      return ['paste', 'garlic', 'chicken'].sort((a, b) => from(words, a) - from(words, b)).join(' ')
    }
    expect(at('first')).toBe('paste garlic chicken')
    expect(at('afterAromatics')).toBe('garlic paste chicken')
    expect(at('afterProtein')).toBe('garlic chicken paste')
  })
})

test('a raw protein stays, leaves by itself, or leaves with the base', () => {
  const words = (rawProtein: Choice['rawProtein']) => wordsOf([SHRIMP], { egg: 'onTop', rawProtein })
  expect(words('inSequence').some((word) => word.startsWith('>'))).toBe(false)
  expect(words('ownOut')).toContain('>shrimp')
  expect(words('withBaseOut').find((word) => word.startsWith('>'))).toMatch(/garlic.*shrimp|shrimp.*garlic/)
})

test('what was marinated, is thick, or is cut after cooking has a stage of its own, whatever was stated', () => {
  for (const more of [
    { state: 'marinated' },
    { cut: { sizeMm: 20 } },
    { cut: { sizeMm: 8, afterCooking: true } },
  ] as const)
    expect(wordsOf([{ ...CHICKEN, ...more }], { rawProtein: 'inSequence' })).toContain('>chicken')
})

test.each<[SchoolName, string, readonly string[]]>([
  ['leaf', 'beforeSauce', ['greens', 'soy']],
  ['leaf', 'afterSauce', ['soy', 'greens']],
  ['seasoningOrder', 'dryFirst', ['salt', 'soy']],
  ['seasoningOrder', 'dryLast', ['soy', 'salt']],
  ['sauce', 'offHeat', ['off', 'soy']],
  ['readyVeg', 'base', ['peas', 'rice']],
  ['readyVeg', 'halfTime', ['rice', 'peas', 'salt']],
  ['readyVeg', 'late', ['salt', 'peas']],
  ['garlic', 'early', ['garlic', 'rice']],
  ['garlic', 'atEnd', ['off', 'garlic']],
])('%s %s: %s', (school, value, order) => {
  const words = wordsOf([GREENS, PEAS], { egg: 'onTop', [school]: value })
  const at = order.map((id) => from(words, id))
  expect(at.every((one) => one >= 0)).toBe(true)
  expect(at).toEqual([...at].sort((a, b) => a - b))
})

test.each(['inBase', 'afterRice'] as const)('half of the garlic %s, and the other half at the end', (quick) => {
  const schools = { egg: 'onTop', garlic: 'halfAndHalf' } as const
  const { parts, station } = startDeriving(aBatch([], schools))
  const usual = majorChoices(axesOf(schools, parts, station), schools)[0]!
  const garlic = movesOf(parts, { ...usual, quick }).filter(({ ids }) => ids.includes('garlic'))
  expect(garlic.map(({ slot, shares }) => [slot, shares?.['garlic']])).toEqual([
    [quick === 'inBase' ? 'base' : 'afterRice', 0.5],
    ['finish', 0.5],
  ])
})

test('where everything but the rice waits in a bowl, what would follow an egg in passing leaves with the base', () => {
  const words = wordsOf([ONION, CARROT], { egg: 'inPassing', batches: 'tossedInBowl' })
  const leaves = words.findIndex((word) => word.startsWith('>'))
  for (const id of words[leaves]!.slice(1).split('+')) expect(words.slice(0, leaves).join('+').split('+')).toContain(id)
})
