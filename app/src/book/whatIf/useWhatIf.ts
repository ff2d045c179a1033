import type { Dish } from 'contract/dish'
import type { Kitchen, Station } from 'contract/kitchen'
import { heatOf } from 'core/line/batchHeat'
import type { Wondered, WonderedQuick, WonderedScore } from 'core/line/whatIf'
import { CHILLED_RICE } from 'core/rice/lot/riceAtWok'
import type { Choice } from 'core/wok/sequence/vocabulary'
import type { BatchFlameCell } from 'core/wok/whatIf/batchFlame'
import { useMemo, useState } from 'react'
import { inWokWorker } from '../../wok/wokWorker'
import { SUPERSEDED, useNewest, type Newest } from './useNewest'

export const MOST_PORTIONS = 8
export const POWER_KW = { least: 3, most: 36 } as const
const COLUMNS = 18
const ROWS = 10

/** Powers of the map [W], even on a scale of factors. */
const POWERS_W = Array.from({ length: ROWS }, (_, row) =>
  Math.round(POWER_KW.least * 1000 * (POWER_KW.most / POWER_KW.least) ** (row / (ROWS - 1))),
)

export type WhatIf = {
  today: Wondered
  wondered: Wondered
  change: (change: Partial<Wondered>) => void
  reset: () => void
  todayScore: WonderedScore | null
  full: Newest<WonderedScore>
  quick: WonderedQuick | null
  cells: readonly BatchFlameCell[]
}

/** A dish as it is today and as somebody wonders, at once roughly and then in full; all of it beside the interface. */
export function useWhatIf(dish: Dish, station: Station, kitchen: Kitchen): WhatIf {
  const today = useMemo(
    (): Wondered => ({
      portions: Math.min(2, Math.max(1, station.capPortions)),
      powerW: heatOf(station).station.powerW,
      riceTempC: CHILLED_RICE.tempC,
      riceWaterFraction: CHILLED_RICE.waterFraction,
      riceLumpMm: 0,
      sauceFactor: 1,
      cutFactor: 1,
      egg: null,
    }),
    [station],
  )
  const [wondered, setWondered] = useState(today)
  const { tools } = kitchen
  const todayScore = useNewest(JSON.stringify(today), () =>
    inWokWorker(async (work) => work.whatIfScore(dish, station, today, tools, kitchen)),
  ).value
  const choice = choiceOf(todayScore)
  const full = useNewest(JSON.stringify(wondered), () =>
    inWokWorker(async (work) => work.whatIfScore(dish, station, wondered, tools, kitchen)),
  )
  const key = JSON.stringify([wondered, choice !== null])
  const quick = useNewest(
    key,
    choice && (() => inWokWorker(async (work) => work.whatIfQuick(dish, station, wondered, choice, kitchen))),
  )
  const { portions: _portions, powerW: _powerW, ...matter } = wondered
  const ricesG = Array.from(
    { length: COLUMNS },
    (_, column) => ((column + 0.5) / COLUMNS) * MOST_PORTIONS * dish.portionRiceG,
  )
  const map = useNewest(
    JSON.stringify([matter, choice !== null]),
    choice &&
      ((isNewest) =>
        inWokWorker(async (work) => {
          // A row at a time, so that what the finger asks is answered between them.
          const rows: BatchFlameCell[][] = []
          for (const powerW of POWERS_W) {
            if (!isNewest()) return SUPERSEDED
            rows.push(await work.whatIfMap(dish, station, wondered, choice, kitchen, ricesG, [powerW]))
          }
          return rows.flat()
        })),
  )
  return {
    today,
    wondered,
    change: (change) => setWondered((before) => ({ ...before, ...change })),
    reset: () => setWondered(today),
    todayScore,
    full,
    quick: quick.isBehind ? null : quick.value,
    cells: map.value ?? [],
  }
}

/** The way that a full answer chose; null until there is one. */
export function choiceOf(score: WonderedScore | null): Choice | null {
  if (score?.result.kind !== 'score') return null
  return (score.result.score.basis?.choice as unknown as Choice | undefined) ?? null
}
