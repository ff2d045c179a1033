import { book } from '../book/words.en'
import { line } from '../line/words.en'
import { mise } from '../mise/words.en'
import { record } from '../record/words.en'
import { rice } from '../rice/words.en'
import { setup } from '../setup/words.en'
import { ui } from '../ui/words.en'
import { steps } from '../wok/steps.en'
import { wok } from '../wok/words.en'
import { ACTIONS, CAUTIONS, CUES, REASONS } from 'core/wok/score'
import { PROBLEM_CODES } from 'contract/problem'
import { capital, formatClock, formatCount, formatDay, formatLate, formatSpan, formatTime } from './format'
import { pseudo, stretch } from './pseudo'

test('counts are written as a kitchen writes them', () => {
  expect([0.25, 1 / 3, 2.5, 3, 1 + 2 / 3, 0.7].map(formatCount)).toEqual(['¼', '⅓', '2½', '3', '1⅔', '0.7'])
})

test('clocks and lateness carry their unit and sign', () => {
  expect([48, 0, 125.9, -3.2].map(formatClock)).toEqual(['0:48', '0:00', '2:05', '+0:03'])
  expect([8, -3, 70, 0.3].map(formatLate)).toEqual(['+8 s', '−3 s', '+1:10', '0 s'])
  expect([45, 600, 7300, 345_597].map(formatSpan)).toEqual(['45 s', '10 min', '2 h', '4 days'])
})

test("times stand in the kitchen's zone, whatever the device's", () => {
  const ms = Date.UTC(2026, 6, 1, 17, 5)
  expect([formatTime(ms, 'UTC'), formatTime(ms, 'Pacific/Auckland'), formatDay(ms, 'Pacific/Auckland')]).toEqual([
    '17:05',
    '05:05',
    'Thu 2 Jul',
  ])
})

test('a first letter is made a capital, the rest left alone', () => {
  expect(capital('egg white in')).toBe('Egg white in')
})

test('the pseudo-locale is two fifths longer, accented, and keeps its placeholders', () => {
  const sentence = stretch('Fire {{dish}} now')
  expect(sentence).toMatch(/^Ƒîŕé \{\{dish\}\} ñöŵ~+$/)
  expect(sentence.match(/~/g)).toHaveLength(3)
  expect(pseudo({ a: { b: 'no' } }).a.b).toBe('ñö~')
})

test('every code of the engine and the server has its words', () => {
  expect(Object.keys(steps.cues).sort()).toEqual([...CUES].sort())
  expect(Object.keys(steps.reasons).sort()).toEqual([...REASONS].sort())
  expect(Object.keys(steps.cautions).sort()).toEqual([...CAUTIONS].sort())
  expect(
    Object.keys(steps.how)
      .filter((key) => key !== 'heatPlate' && key !== 'readGrains')
      .sort(),
  ).toEqual([...ACTIONS].sort())
  expect(Object.keys(ui.problem.codes).sort()).toEqual([...PROBLEM_CODES].sort())
})

test('no sentence is left empty, and every plural has both its forms', () => {
  const walk = (words: object, path: string): string[] =>
    Object.entries(words).flatMap(([key, value]: [string, unknown]) => {
      const here = `${path}.${key}`
      if (typeof value === 'object' && value !== null) return walk(value, here)
      if (value === '' && here !== 'setup.seedUnit') return [here]
      const pair = key.endsWith('_one')
        ? key.replace(/_one$/, '_other')
        : key.endsWith('_other')
          ? key.replace(/_other$/, '_one')
          : null
      return pair !== null && !(pair in words) ? [here] : []
    })
  expect(
    walk({ ui, rice, mise, line, steps, wok, record, book, setup }, '').filter((path) => path !== '.setup.seedUnit'),
  ).toEqual([])
})
