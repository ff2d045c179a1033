import fc from 'fast-check'
import { EGG, GREENS, RICE, SALT, SOY } from '../../test/ingredients'
import { balanceOf, usualRole } from '../balance/balance'
import { proposalFor, repeatedVerdict } from './learn'
import { VERDICTS } from './correct'

const said = (verdict: 'bland' | 'salty', atMs: number, dishVersion = 1) => ({
  dishId: 'duck',
  dishVersion,
  verdict,
  atMs,
})
const parts = ([ingredient, massG]: [typeof RICE, number]) => ({
  id: ingredient.id,
  name: ingredient.name,
  role: usualRole(ingredient),
  ingredient,
  massG,
})
const DISH = (
  [
    [RICE, 220],
    [EGG, 35],
    [GREENS, 20],
    [SOY, 9],
  ] as [typeof RICE, number][]
).map(parts)

test('three times running of one version is a matter of the dish', () => {
  const three = [said('bland', 1), said('bland', 2), said('bland', 3)]
  expect(repeatedVerdict(three, 'duck', 1)).toBe('bland')
  expect(repeatedVerdict(three.slice(1), 'duck', 1)).toBeNull()
  expect(repeatedVerdict([...three, said('salty', 4)], 'duck', 1)).toBeNull()
  expect(repeatedVerdict(three, 'duck', 2)).toBeNull()
  expect(repeatedVerdict([said('salty', 0), ...three], 'duck', 1)).toBe('bland')
})

test('bland three times: the seasoning that salts most goes up, and the dish one step', () => {
  const proposal = proposalFor('bland', DISH)
  expect(proposal?.id).toBe('soy')
  const after = DISH.map((one) => (one.id === 'soy' ? { ...one, massG: proposal!.toG } : one))
  const step = balanceOf(after).metrics.saltFraction - balanceOf(DISH).metrics.saltFraction
  expect(step).toBeCloseTo(0.001, 6)
})

test('no proposal more than halves or doubles, and the verdicts that are no matter of amounts have none', () => {
  fc.assert(
    fc.property(fc.constantFrom(...VERDICTS), fc.double({ min: 0.01, max: 40, noNaN: true }), (verdict, saltG) => {
      const proposal = proposalFor(verdict, [parts([RICE, 220]), parts([SALT, saltG])])
      if (!proposal) return
      expect(proposal.toG / proposal.fromG).toBeGreaterThan(0.5)
      expect(proposal.toG / proposal.fromG).toBeLessThan(2)
    }),
  )
  expect(proposalFor('flat', DISH)).toBeNull()
})
