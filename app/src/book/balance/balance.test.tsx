import { fireEvent, render, screen } from '@testing-library/react'
import { STYLES } from 'core/book/balance/style'
import { parseLine } from 'core/book/ingredientLine/parseLine'
import { weighLine } from 'core/book/ingredientLine/weighLine'
import type { Ingredient } from 'core/book/ingredient'
import { balanceOf, type BalancePart } from 'core/book/balance/balance'
import { findingsOf } from 'core/book/balance/findings'
import { startWords } from '../../words/i18n'
import { book } from '../words.en'
import { blankLine } from '../draft/draft'
import { LineFlags } from '../editor/LineFlags'
import { readBand, typedBand } from '../style/bandText'
import { StandardNotice } from '../dish/StandardNotice'
import { BalancePanel } from './BalancePanel'
import type { Judged } from './judge'
import { MoneyAndFood } from './MoneyAndFood'

let mockWeighsIn = 'g'
jest.mock('../../setup/useKitchen', () => ({ useKitchen: () => ({ data: { weighsIn: mockWeighsIn } }) }))

beforeAll(() => startWords({ book }))

const row = (id: string, more: Partial<Ingredient> = {}): Ingredient => ({
  id,
  name: id,
  aliases: [],
  role: 'vegetable',
  state: 'fresh',
  waterG: 90,
  proteinG: 0,
  fatG: 5,
  carbohydrateG: 5,
  sugarsG: 0,
  fibreG: 0,
  alcoholG: 0,
  sodiumMg: 0,
  energyKJ: 400,
  acid: 0,
  chilliHeat: 0,
  colourLoad: 0,
  freeLiquidFraction: 0,
  ediblePortion: 1,
  densities: [],
  countSizes: [],
  allergens: [],
  allergensUs: [],
  mayContain: [],
  areAllergensKnown: true,
  isReadyToEat: null,
  food: null,
  diets: [],
  source: 'test',
  confidence: 'high',
  ...more,
})
const part = (ingredient: Ingredient, role: BalancePart['role'], massG: number): BalancePart => ({
  id: ingredient.id,
  name: ingredient.name,
  role,
  ingredient,
  massG,
})
const style = STYLES.find((one) => one.id === 'soy-brown')!
const judged = (soyG: number, costMinor: number | null = 286): Judged => {
  const soy = row('duck sauce', { sodiumMg: 5000, freeLiquidFraction: 0.7, colourLoad: 3 })
  const parts = [part(row('rice'), 'rice', 220), part(soy, 'liquidSeasoning', soyG)]
  const balance = balanceOf(parts)
  return {
    parts,
    balance,
    unknown: [],
    findings: findingsOf(balance, parts, style),
    costMinor,
    unpriced: costMinor === null ? ['crab'] : [],
  }
}

describe('a balance in words', () => {
  test('inside the band: the band, and who brings it', () => {
    render(<BalancePanel judged={judged(18)} style={style} />)
    expect(screen.getByText(/band 0\.8–1\.2 · duck sauce brings 100 %/)).toBeTruthy()
  })

  test('outside: by how much, and who brings it', () => {
    render(<BalancePanel judged={judged(60)} style={style} />)
    expect(screen.getByText(/^1\.48 % over: duck sauce brings 100 %/)).toBeTruthy()
  })

  test('cost against its ceiling, and no guess where a price is missing', () => {
    const props = { currency: 'USD', priceMinor: 1250, ceilingMinor: 250 }
    render(<MoneyAndFood judged={judged(18)} {...props} />)
    expect(screen.getByText('$0.36 over its ceiling')).toBeTruthy()
    render(<MoneyAndFood judged={judged(18, null)} {...props} />)
    expect(screen.getByText('no price for crab')).toBeTruthy()
  })
})

describe('a line in doubt', () => {
  const sugar = row('sugar', { densities: [{ form: 'level', gPerML: 0.845 }] })
  const flagsOf = (text: string) => weighLine(parseLine(text, 'us'), sugar, 'us').flags
  const line = { ...blankLine('k'), name: 'sugar', written: '1 tbsp' }

  test('says what is odd, and each repair what it gives', () => {
    const onRepair = jest.fn()
    render(<LineFlags line={line} flags={flagsOf('1 tbsp sugar (60 g)')} onRepair={onRepair} />)
    expect(screen.getByText('That would weigh 4.06 g/mL; sugar weighs 0.845 (level).')).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: '13 g, only 1 tbsp holds'.replace('13', '12') }))
    expect(onRepair).toHaveBeenCalledWith(expect.closeTo(12.49, 1))
  })

  test('on a scale of ounces the repair says ounces, and mends by the same mass', () => {
    mockWeighsIn = 'oz'
    const onRepair = jest.fn()
    render(<LineFlags line={line} flags={flagsOf('1 tbsp sugar (60 g)')} onRepair={onRepair} />)
    fireEvent.click(screen.getByRole('button', { name: '0.44 oz, only 1 tbsp holds' }))
    expect(onRepair).toHaveBeenCalledWith(expect.closeTo(12.49, 1))
    mockWeighsIn = 'g'
  })

  test('a wide range asks for the likelier one; an empty line is left in peace', () => {
    render(<LineFlags line={line} flags={flagsOf('½–2 cups sugar')} onRepair={jest.fn()} />)
    expect(screen.getByText(/Is 1½–2 meant\?/)).toBeTruthy()
    const { container } = render(<LineFlags line={blankLine('e')} flags={flagsOf('sugar')} onRepair={jest.fn()} />)
    expect(container.textContent).toBe('')
  })
})

test('a house standard says what is broken before it is cooked, and nothing where it is kept', () => {
  const egg = {
    id: 'egg',
    name: 'egg',
    role: 'egg' as const,
    state: 'raw' as const,
    food: 'egg' as const,
    cut: null,
    ratioG: 16,
    scaling: 'linear' as const,
    allergens: [],
  }
  const rice = { ...egg, id: 'rice', role: 'rice' as const, ratioG: 100 }
  const standard = {
    name: 'Ferry rice',
    lines: [{ componentId: 'egg', name: 'egg', ratioG: 16, toleranceFraction: 0.1 }],
  }
  const { container } = render(<StandardNotice standard={standard} components={[rice, egg]} />)
  expect(container.textContent).toBe('')
  render(<StandardNotice standard={standard} components={[rice, { ...egg, ratioG: 24 }]} />)
  expect(screen.getByText('Not the house standard “Ferry rice”')).toBeTruthy()
  expect(screen.getByText(/egg \+50/)).toBeTruthy()
  render(<StandardNotice standard={standard} components={[rice]} />)
  expect(screen.getByText(/egg is missing/)).toBeTruthy()
})

describe('a band as it is typed', () => {
  test('per cent there and back; scales as they are', () => {
    const { saltFraction, acidScale } = style.bands
    expect(typedBand('saltFraction', saltFraction)).toEqual({ least: '0.8', most: '1.2' })
    expect(readBand('saltFraction', { least: '0,8', most: '1.2' })).toEqual({
      least: expect.closeTo(0.008, 9),
      most: expect.closeTo(0.012, 9),
    })
    expect(readBand('acidScale', typedBand('acidScale', acidScale))).toEqual(acidScale)
  })
  test.each([
    ['1', '0.5', 'upside-down'],
    ['', '1', 'not-a-number'],
    ['-1', '1', 'not-a-number'],
    ['0', 'much', 'not-a-number'],
  ])('from "%s" to "%s" is %s', (least, most, fault) => expect(readBand('fatFraction', { least, most })).toBe(fault))
})
