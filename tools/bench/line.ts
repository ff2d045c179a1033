import type { WantedBatch } from '../../core/src/line/planner/placeList'
import { USUAL_HOUSE, weightsOf } from '../../core/src/line/plan/wishes'
import { planByRule, planInstance, planList } from '../../core/src/line/planner/planInstance'
import type { LineInstance } from '../../core/src/line/planner/instance'
import { exactPoints } from '../../core/src/test/exactLine'
import { rushOf, tinyInstance } from '../../core/src/test/lineInstances'
import { onlineEvening } from '../../core/src/line/past/onlineEvening'
import { report } from './report'

const SEEDS = [1, 2, 3, 4, 5, 6, 7, 8]
const SMALL_CASES = 60
/** What each size may cost against the better rule of the textbooks: within 300 ms, and within 2 s. */
const RUSHES = [
  { items: 40, soon: 0.36, later: 0.33, evalUs: 4 },
  { items: 80, soon: 0.4, later: 0.36, evalUs: 7 },
  { items: 150, soon: 0.5, later: 0.42, evalUs: 12 },
] as const
const SOON_MS = 300
const LATER_MS = 2000
const PROBE = 4000

/** The line planner: first plans, plans within 300 ms and 2 s against the rules of the textbooks, and small cases tried through. */
export function linePlanner(): void {
  smallCases()
  for (const rush of RUSHES) rushes(rush)
  online()
}

function smallCases(): void {
  let gaps = 0
  let planMs = 0
  for (let seed = 0; seed < SMALL_CASES; seed += 1) {
    const instance = tinyInstance(700 + seed, seed % 2 === 0 ? 4 : 3)
    const { ms, points } = timed(instance)
    planMs += ms
    gaps += points / exactPoints(instance, points + 1e-6) - 1
  }
  report(
    `line: ${SMALL_CASES} small cases against every plan there is`,
    `mean gap ${((gaps / SMALL_CASES) * 100).toFixed(3)} % in ${(planMs / SMALL_CASES).toFixed(0)} ms`,
    '<= 0.15 % within 100 ms',
  )
}

function rushes({ items, soon, later, evalUs }: (typeof RUSHES)[number]): void {
  const instances = SEEDS.map((seed) => rushOf(items, seed, seed % 2 === 1 ? 1 : 1.4))
  const base = instances.map((one) =>
    Math.min(planByRule(one, 'fcfs', true).objective, planByRule(one, 'edd', true).objective),
  )
  const firstMs = instances.map((one) => timed(one, 0).ms)
  report(`line: first plan of ${items} items`, `${median(firstMs).toFixed(1)} ms median`, '<= 30 ms, cold')
  const perEvaluationMs = Math.min(...instances.map((one) => timed(one, PROBE).ms)) / PROBE
  const within = (budgetMs: number, aim: number) => {
    const evaluations = Math.floor(budgetMs / perEvaluationMs)
    const runs = instances.map((one) => timed(one, evaluations))
    const ratio = Math.exp(runs.reduce((sum, { points }, i) => sum + Math.log(points / base[i]!), 0) / runs.length)
    const ms = median(runs.map((run) => run.ms))
    report(
      `line: ${items} items within ${budgetMs} ms, against FCFS or EDD`,
      `${ratio.toFixed(3)} in ${ms.toFixed(0)} ms, ${evaluations} plans`,
      `<= ${aim}`,
    )
    return (ms * 1000) / evaluations
  }
  within(SOON_MS, soon)
  const us = within(LATER_MS, later)
  report(`line: a plan of ${items} items tried`, `${us.toFixed(2)} µs`, `<= ${evalUs} µs`)
}

/** Plans tried at each replan of an evening. */
const ONLINE_EVALUATIONS = 6000
const ONLINE_ITEMS = [40, 60, 80, 40, 60, 80, 40, 60] as const

/** Evenings as they come: planned again at each ticket, against earliest promise with delays planned the same way. */
function online(): void {
  let points = 0
  let eddPoints = 0
  let replans = 0
  let changed = 0
  let ms = 0
  ONLINE_ITEMS.forEach((items, i) => {
    const evening = { ...rushOf(items, 40 + i, i % 2 === 0 ? 1 : 1.2), weights: weightsOf(USUAL_HOUSE) }
    let told: WantedBatch[] = []
    const planned = onlineEvening(evening, (known) => {
      const began = performance.now()
      const { plan, list } = planList(known, { evaluations: ONLINE_EVALUATIONS, start: told })
      ms = Math.max(ms, performance.now() - began)
      told = list
      return plan.batches
    })
    const edd = onlineEvening(evening, (known) => planByRule(known, 'edd', true).batches)
    points += planned.points
    eddPoints += edd.points
    replans += planned.replans
    changed += planned.toldChanged
  })
  report(
    `line: ${ONLINE_ITEMS.length} evenings as they come, against EDD with delays`,
    `${(points / eddPoints).toFixed(3)}, a replan at most ${ms.toFixed(0)} ms`,
    '<= 0.40',
  )
  report(
    'line: replans that change what was told',
    `${changed} of ${replans}, ${((100 * changed) / replans).toFixed(1)} %`,
    '<= 5 %',
  )
}

function timed(instance: LineInstance, evaluations?: number): { ms: number; points: number } {
  const began = performance.now()
  const { objective } = planInstance(instance, { evaluations })
  return { ms: performance.now() - began, points: objective }
}

const median = (all: readonly number[]): number => [...all].sort((a, b) => a - b)[all.length >> 1]!
