import type { Component, Dish } from './dish'
import { matterOf, pinsAmong } from './pins'
import type { StatedSchools } from './schools'

type Draft = Omit<Dish, 'version'>
/** One difference between two versions of a dish. */
export type DishChange =
  | { kind: 'added' | 'removed'; componentId: string; name: string; ratioG: number }
  | { kind: 'changed'; componentId: string; name: string; fromG: number; toG: number; isAmountOnly: boolean }
  | { kind: 'moved' }
  | { kind: 'head'; field: keyof Draft }

const HEAD: readonly (keyof Draft)[] = [
  'name',
  'shortName',
  'stationKind',
  'schools',
  'pins',
  'portionRiceG',
  'holdFreeS',
  'holdMostS',
  'modifiers',
  'style',
  'priceMinor',
  'costCeilingMinor',
  'standard',
]

const same = (a: unknown, b: unknown) => JSON.stringify(inOrder(a)) === JSON.stringify(inOrder(b))

function inOrder(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(inOrder)
  if (value === null || typeof value !== 'object') return value
  return Object.entries(value)
    .filter(([, one]) => one !== undefined)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, one]) => [key, inOrder(one)])
}

/** What differs between two states of a dish, component by component, in the order of the newer. */
export function changesBetween(from: Draft, to: Draft): DishChange[] {
  const before = new Map(from.components.map((one) => [one.id, one]))
  const after = new Map(to.components.map((one) => [one.id, one]))
  const kept = to.components.filter((one) => before.has(one.id)).map((one) => one.id)
  const keptBefore = from.components.filter((one) => after.has(one.id)).map((one) => one.id)
  return [
    ...HEAD.filter((field) => !same(from[field], to[field])).map((field): DishChange => ({ kind: 'head', field })),
    ...to.components.flatMap((one): DishChange[] => {
      const known = before.get(one.id)
      if (!known) return [{ kind: 'added', componentId: one.id, name: one.name, ratioG: one.ratioG }]
      if (same(known, one)) return []
      const isAmountOnly = same({ ...known, ratioG: 0, written: '' }, { ...one, ratioG: 0, written: '' })
      return [
        { kind: 'changed', componentId: one.id, name: one.name, fromG: known.ratioG, toG: one.ratioG, isAmountOnly },
      ]
    }),
    ...from.components
      .filter((one) => !after.has(one.id))
      .map((one): DishChange => ({ kind: 'removed', componentId: one.id, name: one.name, ratioG: one.ratioG })),
    ...(same(kept, keptBefore) ? [] : [{ kind: 'moved' } as const]),
  ]
}

/** A dish with both edits in it; what both changed differently is named. */
export type Merged = { dish: Draft; conflicts: string[] }

/**
 * Two edits of one dish as one: what only one of them touched is taken from that one, school by school, pin by pin, variation
 * by variation; what both changed differently is a conflict, and stays as `mine`. Order is mine, with what they added at the end.
 */
export function mergeDishes(base: Draft, mine: Draft, theirs: Draft): Merged {
  const conflicts: string[] = []
  const pick = <T>(name: string, was: T, own: T, other: T): T => {
    if (same(own, other) || same(was, other)) return own
    if (same(was, own)) return other
    conflicts.push(name)
    return own
  }
  /** What has parts is merged part by part, where both changed it. */
  const pickParts = <T>(name: string, of: (dish: Draft) => readonly (readonly [string, T])[]): [string, T][] => {
    const [was, own, other] = [new Map(of(base)), new Map(of(mine)), new Map(of(theirs))]
    return [...new Set([...own.keys(), ...other.keys()])].flatMap((key): [string, T][] => {
      const value = pick(`${name} ${key}`, was.get(key), own.get(key), other.get(key))
      return value === undefined ? [] : [[key, value]]
    })
  }
  const valueOf = (field: keyof Draft): unknown => {
    const [was, own, other] = [base[field], mine[field], theirs[field]]
    const isBoth = !same(own, other) && !same(was, other) && !same(was, own)
    if (!isBoth || !isParted(field)) return pick(field, was, own, other)
    switch (field) {
      case 'schools':
        return Object.fromEntries(pickParts(field, ({ schools }) => schoolParts(schools)))
      case 'pins':
        return pickParts(field, ({ pins = [] }) => pins.map((pin) => [matterOf(pin), pin] as const)).map(
          ([, pin]) => pin,
        )
      case 'modifiers':
        return pickParts(field, ({ modifiers }) => modifiers.map((one) => [one.id, one] as const)).map(([, one]) => one)
    }
  }
  const head = Object.fromEntries(
    HEAD.flatMap((field) => {
      const value = valueOf(field)
      return value === undefined ? [] : [[field, value]]
    }),
  ) as Partial<Draft>
  const find = (dish: Draft, id: string) => dish.components.find((one) => one.id === id)
  const ids = [...new Set([...mine.components, ...theirs.components].map((one) => one.id))]
  const components = ids.flatMap((id): Component[] => {
    const own = find(mine, id)
    const other = find(theirs, id)
    const chosen = pick(own?.name ?? other?.name ?? id, find(base, id), own, other)
    return chosen ? [chosen] : []
  })
  const { pins } = head
  const kept = pins && pinsAmong(pins, new Set(components.map(({ id }) => id)))
  return { dish: { ...mine, ...head, ...(kept && { pins: kept }), components }, conflicts }
}

const PARTED = ['schools', 'pins', 'modifiers'] as const
const isParted = (field: keyof Draft): field is (typeof PARTED)[number] =>
  (PARTED as readonly (keyof Draft)[]).includes(field)
const schoolParts = (schools: StatedSchools) =>
  Object.entries(schools).flatMap(([name, value]) => (value === undefined ? [] : [[name, value] as const]))
