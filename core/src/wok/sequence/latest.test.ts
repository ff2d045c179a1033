import { latestStartS } from './latest'
import type { Ended, Run } from './run'

type Before = { burn?: [string, number][]; burnPerS?: [string, number][]; progress?: [string, number][] }
/** A run whose second step begins at 60 s, after a first one that left this in the vessel. */
const runOf = ({ burn = [], burnPerS = [], progress = [] }: Before, places: Record<string, string> = {}): Run =>
  ({
    moves: [
      { startS: 0, burn: new Map(burn), burnPerS: new Map(burnPerS), progress: new Map(progress) },
      { startS: 60.4, burn: new Map(), burnPerS: new Map(), progress: new Map() },
    ],
    ended: Object.entries(places).map(([id, place]) => ({ one: { id, place } }) as unknown as Ended),
  }) as unknown as Run

test.each<[string, Run, number]>([
  ['an empty vessel waits a minute', runOf({}), 60 + 60],
  [
    'garlic that browns fast: until nine tenths of its limit',
    runOf({ burn: [['garlic', 0.5]], burnPerS: [['garlic', 0.02]] }),
    60 + 20,
  ],
  [
    'what is nearest to its limit decides',
    runOf({
      burn: [
        ['garlic', 0.5],
        ['onion', 0.75],
      ],
      burnPerS: [
        ['garlic', 0.02],
        ['onion', 0.02],
      ],
    }),
    60 + 7,
  ],
  ['what is beyond it waits for nothing', runOf({ burn: [['garlic', 0.95]], burnPerS: [['garlic', 0.02]] }), 60],
  [
    'what hardly browns waits two minutes, no more',
    runOf({ burn: [['carrot', 0.01]], burnPerS: [['carrot', 0.0001]] }),
    60 + 120,
  ],
  ['what does not brown at all does, too', runOf({ burn: [['carrot', 0]] }), 60 + 120],
  [
    'done protein waits three quarters of a minute',
    runOf({ burn: [['shrimp', 0]], progress: [['shrimp', 1]] }, { shrimp: 'raw' }),
    60 + 45,
  ],
  ['cooked protein, too', runOf({ burn: [['duck', 0]], progress: [['duck', 1.2]] }, { duck: 'ready' }), 60 + 45],
  [
    'protein that is not done yet waits as everything',
    runOf({ burn: [['shrimp', 0]], progress: [['shrimp', 0.9]] }, { shrimp: 'raw' }),
    60 + 120,
  ],
])('%s', (_, run, latestS) => expect(latestStartS(run, 1)).toBe(latestS))

test('the first step waits as an empty vessel may', () => expect(latestStartS(runOf({}), 0)).toBe(60))
