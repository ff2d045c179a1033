import { render, screen } from '@testing-library/react'
import { Run } from 'contract/run'
import type { Dish } from 'contract/dish'
import { DISH, scoreOnRing } from 'core/test/kitchen'
import { kitchenNowMs } from '../device/clock'
import { startWords } from '../words/i18n'
import { StepFace } from './StepFace'
import { useStepWords } from './stepWords'
import { localRun } from './useRuns'
import { wok } from './words.en'

jest.mock('../setup/useKitchen', () => ({ useKitchen: () => ({ data: { weighsIn: mockWeighsIn } }) }))
let mockWeighsIn = 'g'
beforeAll(() => startWords({ wok }))

const uuid = (n: number) => `01900000-0000-7000-8000-${String(n).padStart(12, '0')}`
const run = Run.parse(
  localRun(
    {
      id: uuid(1),
      dishId: 'everything',
      dishVersion: 1,
      stationId: 'ring-a',
      cookId: null,
      modifiers: [],
      allergies: [],
      parts: [{ itemId: uuid(2), ticketId: uuid(3), ticketNumber: 41, portions: 3, modifiers: [] }],
      firedAtMs: 1_764_100_000_000,
      promisedAtMs: 1_764_100_000_000,
      handsFree: true,
      deviceId: 'd',
      isUnconfirmed: false,
      score: scoreOnRing(2),
    } as never,
    [DISH as Dish],
  ),
)

function Face({
  action,
  allergies = [],
  isWaiting = false,
  noes = 0,
}: {
  action: string
  allergies?: Run['allergies']
  isWaiting?: boolean
  noes?: number
}) {
  const words = useStepWords('C')
  const step = run.score.steps.find((one) => one.action === action)!
  return (
    <StepFace
      run={{ ...run, allergies }}
      step={step}
      words={words(step, false)}
      dueMs={kitchenNowMs() + 47_500}
      isWaiting={isWaiting}
      noes={noes}
      lotName="lot R-18"
      isWide={false}
    />
  )
}

test('rice: what, how much, which lot, how long, which sign and why', () => {
  render(<Face action="riceIn" />)
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Rice in')
  for (const text of [
    'Full flame',
    '440 g',
    'lot R-18',
    '0:48',
    'grains jump, it hisses dry, no white lumps',
    'Full flame on cold rice, or it steams.',
  ]) {
    expect(screen.getByText(text)).toBeTruthy()
  }
  expect(screen.getByText('A full wok is heavy: ladle under it, both hands.')).toBeTruthy()
})

test('a raw protein: its check with the limit, its source, and who decides', () => {
  render(<Face action="proteinOut" isWaiting />)
  expect(screen.getByText('Poultry cooked through, 74 °C?')).toBeTruthy()
  expect(screen.getByText(/FDA Food Code 2022 §3-401\.11\. Your local code decides\./)).toBeTruthy()
  expect(screen.getByText('waits for you to confirm')).toBeTruthy()
  expect(screen.getByText('Raw tools stay apart. Wash hands.')).toBeTruthy()
})

test('each no leads on: more time, then a lid, then smaller pieces, then off this flame', () => {
  const { rerender } = render(<Face action="proteinOut" noes={1} />)
  const after = (noes: number) => rerender(<Face action="proteinOut" noes={noes} />)
  expect(screen.getByText(/^Not yet: 20 s more/)).toBeTruthy()
  after(2)
  expect(screen.getByText(/lid on/)).toBeTruthy()
  after(3)
  expect(screen.getByText(/cut the thickest pieces/)).toBeTruthy()
  after(4)
  expect(screen.getByText(/hold Stop.*throw it away/)).toBeTruthy()
})

test('two seasonings: each by name, in grams and in what the cook measures with', () => {
  render(<Face action="sauceIn" />)
  expect(screen.getByText('13 g')).toBeTruthy()
  expect(screen.getByText(/On the bare metal beside the rice/)).toBeTruthy()
})

test('on a scale of ounces a step says ounces', () => {
  mockWeighsIn = 'oz'
  render(<Face action="riceIn" />)
  expect(screen.getByText('15.5 oz')).toBeTruthy()
  mockWeighsIn = 'g'
})

test('an allergy run says so on every step', () => {
  render(<Face action="oilIn" allergies={['egg']} />)
  expect(screen.getByText('Full wash first, egg off')).toBeTruthy()
})

function Sentences() {
  const words = useStepWords('C')
  return run.score.steps.map((step) => {
    const { title, how, cue, reason } = words(step, true)
    return (
      <ul key={step.id}>
        {[title, how, cue, reason].map((sentence, n) => (
          <li key={n}>{sentence}</li>
        ))}
      </ul>
    )
  })
}

test('no step of any dish is without a title, a way, a sign and a reason', () => {
  render(<Sentences />)
  const sentences = screen.getAllByRole('listitem').map((item) => item.textContent ?? '')
  expect(sentences).toHaveLength(run.score.steps.length * 4)
  for (const sentence of sentences) expect(sentence).toMatch(/^[^{}]{2,}$/)
  const titles = sentences.filter((_, n) => n % 4 === 0)
  for (const title of titles) expect(title.charAt(0)).toBe(title.charAt(0).toUpperCase())
})
