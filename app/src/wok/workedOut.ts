import type { Dish } from 'contract/dish'
import type { Kitchen, Station } from 'contract/kitchen'
import type { BatchInput } from 'core/book/batchComponents'
import { heatOf, type BatchScore } from 'core/line/batchScore'
import type { LineNow, WorkedOut } from 'core/line/lineNow'
import type { StationTimes } from 'core/line/stationTimes'
import { useSyncExternalStore } from 'react'
import { inWokWorker } from './wokWorker'

/** Scores and times that this page has derived, by all that they depend on. */
const scores = new Map<string, BatchScore>()
const times = new Map<string, StationTimes>()
const asked = new Set<string>()
const MOST_KEPT = 2000
/** Answers that come close together are shown at once [ms]. */
const TOGETHER_MS = 120

let version = 0
let told: ReturnType<typeof setTimeout> | null = null
const listeners = new Set<() => void>()

function tell(): void {
  told ??= setTimeout(() => {
    told = null
    version += 1
    listeners.forEach((listener) => listener())
  }, TOGETHER_MS)
}

/** A number that is another one whenever more was worked out. */
export const useWorkedOutVersion = (): number =>
  useSyncExternalStore(
    (listener) => {
      listeners.add(listener)
      return () => listeners.delete(listener)
    },
    () => version,
    () => version,
  )

/** Objects that come from the kitchen keep being the same object until they change: their text is made once. */
const texts = new WeakMap<object, string>()
function textOf(one: object): string {
  const before = texts.get(one)
  if (before !== undefined) return before
  const text = JSON.stringify(one)
  texts.set(one, text)
  return text
}
const houses = new WeakMap<Kitchen, string>()
function houseOf(kitchen: Kitchen): string {
  const before = houses.get(kitchen)
  if (before !== undefined) return before
  const house = JSON.stringify([kitchen.tools, kitchen.ruleSet, kitchen.isScottish])
  houses.set(kitchen, house)
  return house
}

/** The same portions make the same batch, however they are spread over tickets. */
function partsOf({ modifiers, allergies, parts }: BatchInput): string {
  const portions = new Map<string, number>()
  for (const part of parts) {
    const key = [...part.modifiers].sort().join(' ')
    portions.set(key, (portions.get(key) ?? 0) + part.portions)
  }
  return JSON.stringify([[...modifiers].sort(), [...allergies].sort(), [...portions].sort()])
}

type At = { dish: Dish; station: Station }
const timesKey = (kitchen: Kitchen, { dish, station }: At) => `${houseOf(kitchen)} ${textOf(station)} ${textOf(dish)}`
const scoreKey = (kitchen: Kitchen, at: At, batch: BatchInput) => `${timesKey(kitchen, at)} ${partsOf(batch)}`

/** What was worked out so far, for the line of a kitchen. */
export const workedOut = (kitchen: Kitchen): WorkedOut<Station, Dish> => ({
  timesOf: (dish, station) => times.get(timesKey(kitchen, { dish, station })) ?? null,
  scoreOf: (dish, batch, station) => scores.get(scoreKey(kitchen, { dish, station }, batch)) ?? null,
})

/** Asks the worker for what a line does not know yet, each once; the answers are told to who listens. */
export function workOut(kitchen: Kitchen, unknown: LineNow<Station, Dish, never>['unknown']): void {
  const { tools } = kitchen
  for (const { dish, station } of unknown.times) {
    const key = timesKey(kitchen, { dish, station })
    work(key, times, async (functions) =>
      functions.stationTimes(dish, station.capPortions, heatOf(station), tools, kitchen),
    )
  }
  for (const { dish, station, batch } of unknown.scores) {
    const key = scoreKey(kitchen, { dish, station }, batch)
    work(key, scores, async (functions) => functions.batchScore(dish, batch, heatOf(station), tools, kitchen))
  }
}

function work<T>(key: string, kept: Map<string, T>, ask: Parameters<typeof inWokWorker<T>>[0]): void {
  if (kept.has(key) || asked.has(key)) return
  asked.add(key)
  inWokWorker(ask).then(
    (answer) => {
      asked.delete(key)
      if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!)
      kept.set(key, answer)
      tell()
    },
    // Asked for again with the next plan: a worker that stopped is made anew.
    () => void asked.delete(key),
  )
}
