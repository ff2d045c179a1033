import { fireEvent, render, screen } from '@testing-library/react'
import type { Run } from 'contract/run'
import type { Step } from 'core/wok/score'
import { startWords } from '../words/i18n'
import { HandsClash } from './HandsClash'
import type { SaidOfRun } from './useRuns'
import { wok } from './words.en'

const NOW_MS = 1_764_100_012_000
const mockSaid: (SaidOfRun & { runId: string })[] = []
let mockRuns: Run[] = []
jest.mock('./useRuns', () => ({
  useOpenRuns: () => ({ runs: mockRuns }),
  sayOfRun: (runId: string, said: SaidOfRun) => {
    mockSaid.push({ runId, ...said })
    return '01900000-0000-7000-8000-00000000000a'
  },
}))
let mockPairs: number | null = null
jest.mock('../line/plan/useLineState', () => ({ useLineState: () => ({ wishes: { pairs: mockPairs } }) }))
jest.mock('../setup/useKitchen', () => ({
  useReadsIn: () => 'C',
  useKitchen: () => ({
    data: {
      stations: [
        { id: 'ring-a', name: 'Ring A', kind: 'wok' },
        { id: 'ring-b', name: 'Ring B', kind: 'wok' },
      ],
    },
  }),
}))
beforeAll(() => startWords({ wok }))
beforeEach(() => {
  mockSaid.length = 0
  mockPairs = null
})

const step = (id: string, startS: number, durationS: number, handsOnS: number, bearsS: number): Step => ({
  ...{ id, action: handsOnS > 0 ? 'riceIn' : 'heatVessel', startS, durationS, heat: 'full', entries: [] },
  ...{ cue: 'grainsJump', reason: 'riceNeedsDryHeat', cautions: [], check: null, figure: 'model' },
  ...{ handsOnS, latestS: startS + bearsS },
})
/** Heats for 20 s, then wants hands for 30. */
const runAt = (stationId: string, firedAtMs: number, bearsS: number, cookId: string | null = 'bram') => {
  const steps = [step('heats', 0, 20, 0, 60), step('rice', 20, 30, 30, bearsS), step('rests', 50, 60, 0, 60)]
  const score = { engine: 'heat-1', steps, totalS: 110, riceMassG: 400, batchMassG: 600 }
  return { id: `run-${stationId}`, stationId, cookId, firedAtMs, score, handsFree: true, events: [] } as unknown as Run
}
const show = (runs: Run[]) => {
  mockRuns = runs
  return render(<HandsClash run={runs[0]!} nowMs={NOW_MS} onWaits={() => undefined} />)
}

test('the run that bears to wait does so with one tap, and a double tap says it once', () => {
  show([runAt('ring-b', NOW_MS - 2000, 60), runAt('ring-a', NOW_MS - 12_000, 60)])
  expect(screen.getByText('Rice in at Ring B comes while Rice in has your hands')).toBeTruthy()
  const button = screen.getByRole('button', { name: 'Ring B waits 20 s' })
  fireEvent.click(button)
  fireEvent.click(button)
  expect(mockSaid).toEqual([{ runId: 'run-ring-b', kind: 'later', stepId: 'heats', delayS: 20 }])
})

test('where neither can wait it says so, and offers nothing', () => {
  show([runAt('ring-b', NOW_MS - 2000, 5), runAt('ring-a', NOW_MS - 12_000, 5)])
  expect(screen.getByText(/neither can wait: call somebody$/)).toBeTruthy()
  expect(screen.queryByRole('button')).toBeNull()
})

test.each([
  ['another cook’s run', 'wen'],
  ['a run of nobody', null],
])('%s does not take these hands', (_, cookId) => {
  const { container } = show([runAt('ring-b', NOW_MS - 2000, 60), runAt('ring-a', NOW_MS - 12_000, 60, cookId)])
  expect(container.textContent).toBe('')
})

test.each([
  ['another cook’s run', 'wen'],
  ['a run of nobody', null],
])('where one pair of hands was said, %s takes the same ones', (_, cookId) => {
  mockPairs = 1
  show([runAt('ring-b', NOW_MS - 2000, 60), runAt('ring-a', NOW_MS - 12_000, 60, cookId)])
  expect(screen.getByRole('button', { name: 'Ring B waits 20 s' })).toBeTruthy()
})
