import { idOf } from '../../ids/idOf'
import type { PrepCard } from '../need/cards'

type Tool = { id: string; name: string; count: number }
type Place = { id: string; name: string }
/** What of a house its tools, places, checks and cards are. */
export type House = {
  equipment: readonly Tool[]
  places: readonly Place[]
  homes: Readonly<Record<string, string>>
  checks: readonly Place[]
  cards: readonly PrepCard[]
}
/** Lists of a house whose things have a name. */
export type Listed = 'equipment' | 'places' | 'checks'

/** The items that stand on a thing: those whose own card uses the tool, or that were given a home at the place. */
export function itemsOn(house: House, list: Listed, id: string): string[] {
  switch (list) {
    case 'equipment':
      return house.cards
        .filter((card) => card.steps.some((step) => step.equipment.includes(id)))
        .map((one) => one.itemId)
    case 'places':
      return Object.entries(house.homes).flatMap(([itemId, placeId]) => (placeId === id ? [itemId] : []))
    case 'checks':
      return []
  }
}

/** The house with a thing named or named anew; a new one has an id of its name and stands last. `count` is of tools. */
export function withThing<H extends House>(house: H, list: Listed, thing: Place & { count: number }): H {
  const { id, name, count } = thing
  const of = <T extends Place>(all: readonly T[], make: (id: string) => T): T[] =>
    all.some((one) => one.id === id)
      ? all.map((one) => (one.id === id ? make(id) : one))
      : [
          ...all,
          make(
            idOf(
              name,
              list,
              all.map((one) => one.id),
            ),
          ),
        ]
  switch (list) {
    case 'equipment':
      return { ...house, equipment: of(house.equipment, (own) => ({ id: own, name, count })) }
    case 'places':
      return { ...house, places: of(house.places, (own) => ({ id: own, name })) }
    case 'checks':
      return { ...house, checks: of(house.checks, (own) => ({ id: own, name })) }
  }
}

/** The house without a thing: cards no longer hold the tool, and what stood at the place stands where it usually does. */
export function withoutThing<H extends House>(house: H, list: Listed, id: string): H {
  const without = <T extends Place>(all: readonly T[]) => all.filter((one) => one.id !== id)
  switch (list) {
    case 'equipment':
      return {
        ...house,
        equipment: without(house.equipment),
        cards: house.cards.map((card) => ({
          ...card,
          steps: card.steps.map((step) => ({ ...step, equipment: step.equipment.filter((one) => one !== id) })),
        })),
      }
    case 'places':
      return {
        ...house,
        places: without(house.places),
        homes: Object.fromEntries(Object.entries(house.homes).filter(([, placeId]) => placeId !== id)),
      }
    case 'checks':
      return { ...house, checks: without(house.checks) }
  }
}

/** The house with places in another walking order: one of them a step earlier. */
export function earlierPlace<H extends House>(house: H, id: string): H {
  const at = house.places.findIndex((one) => one.id === id)
  if (at <= 0) return house
  const places = [...house.places]
  ;[places[at - 1], places[at]] = [places[at]!, places[at - 1]!]
  return { ...house, places }
}

/** The house with a kitchen's own card of an item, or with the usual one again where `card` is null. */
export function withCard<H extends House>(house: H, itemId: string, card: PrepCard | null): H {
  const others = house.cards.filter((one) => one.itemId !== itemId)
  return { ...house, cards: card ? [...others, card] : others }
}
