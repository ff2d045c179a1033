import type { FirstStep } from 'core/house/firstKitchen'

/** The drawing is made in these units and scaled to the width that there is. */
export const DRAWING = { width: 390, height: 412, floorY: 405 } as const

/** What of a kitchen is drawn, and the step that a tap on it opens. */
export const THINGS = [
  'tools',
  'clock',
  'orders',
  'ring',
  'nextRing',
  'people',
  'vessel',
  'fridge',
  'freezer',
  'prep',
] as const
export type KitchenThing = (typeof THINGS)[number]

type Shape = {
  step: FirstStep
  /** Where a finger may land. */
  box: { x: number; y: number; width: number; height: number }
  /** Outlines as SVG paths. */
  lines: string
  /** Where its words stand within the box. */
  words: 'top' | 'middle' | 'bottom' | 'right'
}

const box = (x: number, y: number, width: number, height: number) => ({ x, y, width, height })

export const SHAPES: Readonly<Record<KitchenThing, Shape>> = {
  tools: {
    step: 'tools',
    box: box(6, 26, 148, 100),
    lines:
      'M18 40 H150 M36 40 V78 M36 78 H10 A13 13 0 0 0 36 78 M74 40 V74 A8 6 0 0 1 58 74 M118 40 V70 M100 70 H138 L132 88 H106 Z',
    words: 'bottom',
  },
  clock: {
    step: 'name',
    box: box(160, 14, 132, 60),
    lines: 'M167 44 a19 19 0 1 0 38 0 a19 19 0 1 0 -38 0 M186 32 V44 L194 50',
    words: 'right',
  },
  orders: {
    step: 'waves',
    box: box(296, 4, 92, 70),
    lines: 'M308 36 H376 L368 50 H318 Z M342 36 V12 L364 29 H342',
    words: 'bottom',
  },
  ring: {
    step: 'station',
    box: box(8, 166, 146, 239),
    lines:
      'M14 262 H150 V405 H14 Z M14 286 H150 M40 262 V244 H124 V262 M30 216 Q82 276 134 216 M134 216 q16 -6 18 6 q0 8 -20 4',
    words: 'bottom',
  },
  nextRing: { step: 'station', box: box(156, 262, 54, 143), lines: 'M158 262 H208 V405 H158 Z', words: 'middle' },
  people: {
    step: 'people',
    box: box(152, 112, 62, 92),
    lines:
      'M162 126 a9 9 0 1 0 18 0 a9 9 0 1 0 -18 0 M157 172 V158 A14 16 0 0 1 185 158 V172 M190 132 a8 8 0 1 0 16 0 a8 8 0 1 0 -16 0 M188 172 V162 A11 14 0 0 1 210 162 V172',
    words: 'bottom',
  },
  vessel: {
    step: 'vessel',
    box: box(154, 206, 58, 56),
    lines: 'M162 234 H204 V262 H162 Z M162 234 Q183 220 204 234 M180 226 H186',
    words: 'top',
  },
  fridge: { step: 'fridge', box: box(214, 68, 118, 337), lines: 'M216 108 H330 V405 H216 Z', words: 'top' },
  freezer: { step: 'fridge', box: box(334, 262, 56, 143), lines: 'M336 262 H388 V405 H336 Z', words: 'middle' },
  prep: {
    step: 'prep',
    box: box(334, 160, 56, 96),
    lines: 'M338 214 H386 V228 H338 Z M346 214 L376 192 L383 199 L362 214',
    words: 'top',
  },
}

const SHELVES_Y = [170, 228, 286, 344] as const
const TRAYS_A_SHELF = 2
/** As many trays as are drawn; more are said in figures. */
export const MOST_TRAYS = SHELVES_Y.length * TRAYS_A_SHELF

/** Shelves and trays of the fridge, from the top; `count` of them stand there, the rest is room. */
export function traysOf(count: number): { there: string; room: string } {
  const shelves = SHELVES_Y.map((y) => `M220 ${y} H326`)
  const trays = SHELVES_Y.flatMap((y) => [222, 275].map((x) => `M${x} ${y - 14} h5 l7 12 h26 l7 -12 h5`))
  return {
    there: [...shelves, ...trays.slice(0, count)].join(' '),
    room: trays.slice(count).join(' '),
  }
}
