import type { Dish } from 'contract/dish'
import type { Kitchen, Station } from 'contract/kitchen'
import type { BatchInput } from 'core/book/batchComponents'
import { heatOf, type RiceNow } from 'core/line/batchHeat'
import type { BatchScore } from 'core/line/batchScore'
import type { LineNow, WorkedOut } from 'core/line/lineNow'
import type { StationTimes } from 'core/line/stationTimes'
import { newVersion } from '../device/version'
import { keepTimes, timesBefore } from './keptTimes'
import { inWokWorker } from './wokWorker'

/** Scores and times that this page has derived, by all that they depend on. */
const scores = new Map<string, BatchScore>()
const times = new Map<string, StationTimes>()
/** The last answers, whatever the rice was. */
const lastScores = new Map<string, BatchScore>()
const lastTimes = new Map<string, StationTimes>()
const asked = new Set<string>()
const MOST_KEPT = 2000
/** Answers that come close together are shown at once [ms]. */
const TOGETHER_MS = 120

const worked = newVersion()
let told: ReturnType<typeof setTimeout> | null = null

function tell(): void {
  told ??= setTimeout(() => {
    told = null
    worked.raise()
  }, TOGETHER_MS)
}

/** A number that is another one whenever more was worked out. */
export const useWorkedOutVersion = worked.useVersion

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
/** What scores are asked for: the kitchen's measures and rules, and the rice that is taken now. */
export type AskedOf = { kitchen: Kitchen; rice: RiceNow }
/** All that an answer depends on but the rice. */
const matterOf = (kitchen: Kitchen, { dish, station }: At) => `${houseOf(kitchen)} ${textOf(station)} ${textOf(dish)}`
const keyOf = (matter: string, { tempC, waterFraction, lumpMm }: RiceNow) =>
  `${tempC} ${waterFraction} ${lumpMm ?? 0} ${matter}`
const scoreMatter = (kitchen: Kitchen, at: At, batch: BatchInput) => `${matterOf(kitchen, at)} ${partsOf(batch)}`

/**
 * What was worked out so far, for the line of a kitchen. While the rice has become a step warmer, the last answer for the same
 * batch stands until the next one is there.
 */
export function workedOut({ kitchen, rice }: AskedOf): WorkedOut<Station, Dish> {
  const find = <T>(kept: Map<string, T>, last: Map<string, T>, matter: string): T | null =>
    kept.get(keyOf(matter, rice)) ?? last.get(matter) ?? null
  return {
    timesOf: (dish, station) => find(times, lastTimes, matterOf(kitchen, { dish, station })),
    scoreOf: (dish, batch, station) => find(scores, lastScores, scoreMatter(kitchen, { dish, station }, batch)),
  }
}

/**
 * Asks the worker for what is not known yet, each once; the answers are told to who listens. Where nothing is known of a dish
 * at a station its rough times come first, so that there is a plan at once.
 */
export function workOut({ kitchen, rice }: AskedOf, wanted: LineNow<Station, Dish, never>['unknown']): void {
  const { tools } = kitchen
  for (const at of wanted.times) takeBefore(matterOf(kitchen, at), rice)
  for (const { dish, station } of wanted.times)
    roughly(matterOf(kitchen, { dish, station }), { dish, station }, kitchen, rice)
  for (const { dish, station } of wanted.times) {
    work(
      matterOf(kitchen, { dish, station }),
      rice,
      { kept: times, last: lastTimes, keep: keepTimes },
      async (functions) =>
        functions.stationTimes(dish, station.capPortions, heatOf(station, rice, dish.id), tools, kitchen),
    )
  }
  for (const { dish, station, batch } of wanted.scores) {
    work(scoreMatter(kitchen, { dish, station }, batch), rice, { kept: scores, last: lastScores }, async (functions) =>
      functions.batchScoreToPlan(dish, batch, heatOf(station, rice, dish.id), tools, kitchen),
    )
  }
}

/** Takes times that this device worked out before the page was opened. */
function takeBefore(matter: string, rice: RiceNow): void {
  const key = keyOf(matter, rice)
  const before = times.has(key) ? null : timesBefore(key)
  if (!before) return
  times.set(key, before)
  lastTimes.set(matter, before)
  tell()
}

function roughly(matter: string, { dish, station }: At, kitchen: Kitchen, rice: RiceNow): void {
  const key = `rough ${matter}`
  if (lastTimes.has(matter) || asked.has(key)) return
  asked.add(key)
  inWokWorker(async (functions) =>
    functions.roughStationTimes(dish, station.capPortions, heatOf(station, rice, dish.id), kitchen),
  ).then(
    (answer) => {
      if (!answer || lastTimes.has(matter)) return
      lastTimes.set(matter, answer)
      tell()
    },
    () => void asked.delete(key),
  )
}

type Answers<T> = { kept: Map<string, T>; last: Map<string, T>; keep?: (key: string, answer: T) => void }

function work<T>(
  matter: string,
  rice: RiceNow,
  { kept, last, keep }: Answers<T>,
  ask: Parameters<typeof inWokWorker<T>>[0],
): void {
  const key = keyOf(matter, rice)
  if (kept.has(key) || asked.has(key)) return
  asked.add(key)
  inWokWorker(ask).then(
    (answer) => {
      asked.delete(key)
      if (kept.size >= MOST_KEPT) kept.delete(kept.keys().next().value!)
      kept.set(key, answer)
      if (last.size >= MOST_KEPT) last.delete(last.keys().next().value!)
      last.set(matter, answer)
      keep?.(key, answer)
      tell()
    },
    // Asked for again with the next plan: a worker that stopped is made anew.
    () => void asked.delete(key),
  )
}
