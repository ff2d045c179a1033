import { fireEvent, render, screen } from '@testing-library/react'
import type { Run } from 'contract/run'
import { HAM_OF_TOFU, PORK } from 'core/test/ingredients'
import { component, DISH, scoreOnRing } from 'core/test/kitchen'
import type { Ingredient } from 'core/book/ingredient'
import type { StandIn } from 'core/wok/runEvent'
import { startWords } from '../words/i18n'
import { RanOut } from './RanOut'
import type { Cook } from './useCook'
import { wok } from './words.en'

const pork = component({
  id: 'pork',
  role: 'protein',
  food: 'meat',
  ratioG: 12,
  ingredientId: PORK.id,
  state: 'cooked',
})
const tofu = component({ id: 'tofu', role: 'protein', food: 'meat', ratioG: 9, ingredientId: HAM_OF_TOFU.id })
const score = scoreOnRing(2)
const mockDish = { ...DISH, components: [pork, tofu] }
let mockRows: Ingredient[] | null = null
let mockGone: string[] = []
jest.mock('../book/useDishes', () => ({
  useDishes: () => ({ data: { dishes: [mockDish] } }),
}))
jest.mock('../book/useShelf', () => ({ useShelf: () => ({ shelf: mockRows && { rows: mockRows } }) }))
jest.mock('../line/plan/useLineState', () => ({ useLineState: () => ({ wishes: { goneMatters: mockGone } }) }))
jest.mock('../setup/useKitchen', () => ({ useKitchen: () => ({ data: { ruleSet: 'uk', weighsIn: 'g' } }) }))
beforeAll(() => {
  startWords({ wok })
  // This page has no size, so nothing can be brought into view.
  Element.prototype.scrollIntoView = () => undefined
})
beforeEach(() => {
  mockRows = [PORK, HAM_OF_TOFU]
  mockGone = []
})

/** A step that puts pork in is still to come. */
const steps = [
  score.steps[0]!,
  {
    ...score.steps[1]!,
    id: 'porkIn',
    entries: [
      {
        ...score.steps.flatMap(({ entries }) => entries)[0]!,
        componentId: 'pork',
        name: 'pork',
        motion: 'in' as const,
        massG: 120,
        role: 'protein' as const,
      },
    ],
  },
]
function show(allergies: string[] = []) {
  const said: [string, StandIn | null][] = []
  const onClose = jest.fn()
  const cook = {
    state: { steps, stepIndex: 0 },
    ranOut: (componentId: string, standIn: StandIn | null) => {
      said.push([componentId, standIn])
      return 'event'
    },
    undo: () => undefined,
  } as unknown as Cook
  const run = { dishId: DISH.id, dishVersion: DISH.version, allergies } as unknown as Run
  render(<RanOut run={run} cook={cook} onClose={onClose} />)
  fireEvent.click(screen.getByRole('button', { name: 'Ran out of pork' }))
  return { said, onClose }
}

test('what is tapped can be left out, or something stands in with what it brings', () => {
  const { said, onClose } = show()
  const instead = screen.getByRole('button', { name: /instead, 120 g/ })
  expect(instead.textContent).toMatch(/brings .*soy.*tell the pass/)
  fireEvent.click(instead)
  expect(said).toEqual([['pork', { ingredientId: HAM_OF_TOFU.id, name: expect.any(String) as unknown }]])
  expect(onClose).toHaveBeenCalledTimes(1)
})

test('left out, it is said so', () => {
  const { said } = show()
  fireEvent.click(screen.getByRole('button', { name: 'Go on without pork' }))
  expect(said).toEqual([['pork', null]])
})

test('for an allergy what has it is not offered, and it says that nothing is known to be free', () => {
  show(['soy'])
  expect(screen.queryByRole('button', { name: /instead/ })).toBeNull()
  expect(screen.getByText(/Nothing known to be free of the allergy/)).toBeTruthy()
})

test('what is 86 does not stand in', () => {
  mockGone = [HAM_OF_TOFU.id]
  show()
  expect(screen.getByText(/Nothing in this kitchen stands in for pork/)).toBeTruthy()
})

test('before the table is here nothing is said of stand-ins, and it can be left out all the same', () => {
  mockRows = null
  const { said } = show()
  expect(screen.queryByText(/stands in for pork|free of the allergy/)).toBeNull()
  fireEvent.click(screen.getByRole('button', { name: 'Go on without pork' }))
  expect(said).toEqual([['pork', null]])
})
