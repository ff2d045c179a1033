import { aGriddle, aWok } from '../../core/src/test/stations'
import { aBatch, CARROT, CHICKEN, DUCK, GREENS, ONION, PASTE, PEAS, PLAIN, SHRIMP } from '../../core/src/test/wokDishes'
import type { HeatStation } from '../../core/src/wok/heat/vessel'
import type { SequenceInput } from '../../core/src/wok/sequence/derive'
import type { ComponentInput } from '../../core/src/wok/sequence/vocabulary'

const MORE: readonly ComponentInput[] = [
  SHRIMP,
  CHICKEN,
  DUCK,
  ONION,
  CARROT,
  GREENS,
  PEAS,
  PASTE,
  { id: 'beef', role: 'protein', food: 'meat', state: 'marinated', ratioG: 20, cut: { sizeMm: 4 } },
  { id: 'ham', role: 'protein', food: 'cured', readyToEat: true, ratioG: 12 },
  { id: 'mince', role: 'protein', food: 'mince', ratioG: 15, cut: { sizeMm: 5 } },
  { id: 'tofu', role: 'protein', food: 'tofu', state: 'cooked', ratioG: 14 },
  { id: 'mushroom', role: 'vegetable', food: 'mushroom', ratioG: 10 },
  { id: 'stems', role: 'vegetable', food: 'stem', ratioG: 8 },
  { id: 'ginger', role: 'aromatic', food: 'ginger', ratioG: 1.5 },
  { id: 'corn', role: 'vegetable', food: 'readyVeg', ratioG: 10 },
  { id: 'tomato', role: 'vegetable', food: 'softVeg', ratioG: 12 },
]

/** A dish, a station and a load, drawn by chance as wide as kitchens have them. */
export function drawBatch(random: () => number): SequenceInput {
  const between = (least: number, most: number) => least + (most - least) * random()
  const isGriddle = random() < 0.25
  const station = isGriddle ? drawGriddle(between) : drawWok(random, between)
  const components = [...PLAIN, ...MORE.filter(() => random() < 0.25)]
    .filter(({ id }) => id === 'rice' || random() < 0.9)
    .map((one) => (one.id === 'rice' ? one : drawnLine(one, between)))
  const fullG = isGriddle
    ? 900
    : 900 * ((station.diameterM ?? 0.36) / 0.36) ** 2 * Math.min(1, Math.sqrt(station.powerW / 20_000))
  return aBatch(
    [],
    {},
    {
      station,
      handling: isGriddle ? 'flip' : random() < 0.6 ? 'toss' : 'stir',
      batchMassG: fullG * between(0.15, 0.95),
      riceTempC: between(2, 18),
      riceWaterFraction: between(0.58, 0.66),
      dish: { components },
    },
  )
}

type Between = (least: number, most: number) => number

function drawnLine(one: ComponentInput, between: Between): ComponentInput {
  const sizeMm = one.cut?.sizeMm
  return {
    ...one,
    ratioG: one.ratioG * between(0.6, 1.5),
    ...(sizeMm && { cut: { sizeMm: sizeMm * between(0.6, 1.4) } }),
  }
}

function drawGriddle(between: Between): HeatStation {
  const width = between(0.25, 0.45)
  const length = between(0.4, 0.7)
  return {
    ...aGriddle(),
    plateM: { width, length },
    massKg: width * length * between(0.012, 0.024) * 7850,
    powerW: between(5000, 13_000),
  }
}

function drawWok(random: () => number, between: Between): HeatStation {
  const diameterM = between(0.28, 0.46)
  return random() < 0.15
    ? aWok(between(2500, 6500), { diameterM, source: 'induction' })
    : aWok(2500 * 12 ** random(), { diameterM })
}
