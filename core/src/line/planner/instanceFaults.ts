import type { LineInstance } from './instance'
import { MOST_PIECES } from './memory'
import { MOST_ALLERGENS } from './names'
import { contentsOf, largestCapOf, piecesOf } from './pieces'

/** What is wrong with an instance: where, and what to do. */
export type InstanceFault = { field: string; message: string }

const MOST_FAULTS = 20

/** What of an instance does not fit together, before anything is planned; empty where it can be. */
export function instanceFaults(instance: LineInstance): InstanceFault[] {
  const faults = [...namedTwice(instance), ...strangers(instance), ...dishFaults(instance), ...itemFaults(instance)]
  return (faults.length > 0 ? faults : tooMuch(instance)).slice(0, MOST_FAULTS)
}

/** What is more than is planned at once. */
function tooMuch(instance: LineInstance): InstanceFault[] {
  const pieces = piecesOf(instance, new Set()).length
  const allergens = new Set([
    ...instance.dishes.flatMap((dish) => dish.allergens),
    ...instance.stations.flatMap(({ last }) => last?.residue ?? []),
    ...instance.tickets.flatMap(({ items }) => items.flatMap(({ avoid }) => avoid)),
  ]).size
  return [
    ...(pieces > MOST_PIECES
      ? [{ field: 'tickets', message: `${pieces} pieces: plan at most ${MOST_PIECES} at once, the first hour first` }]
      : []),
    ...(allergens > MOST_ALLERGENS
      ? [{ field: 'dishes', message: `${allergens} allergens: name at most ${MOST_ALLERGENS}` }]
      : []),
  ]
}

function namedTwice({ stations, dishes, tickets, told }: LineInstance): InstanceFault[] {
  const twice = (field: string, ids: readonly string[]) =>
    ids
      .filter((id, i) => ids.indexOf(id) !== i)
      .map((id) => ({ field, message: `"${id}" stands twice: give each its own id` }))
  const items = tickets.flatMap((ticket) => ticket.items.map(({ id }) => id))
  return [
    ...twice(
      'stations',
      stations.map(({ id }) => id),
    ),
    ...twice(
      'dishes',
      dishes.map(({ id }) => id),
    ),
    ...twice(
      'tickets',
      tickets.map(({ id }) => id),
    ),
    ...twice('tickets', items),
    ...twice(
      'told',
      told.map(({ station }) => station),
    ),
  ]
}

function strangers({ stations, setup, frozen, told, tickets }: LineInstance): InstanceFault[] {
  const known = new Set(stations.map(({ id }) => id))
  const items = new Set(tickets.flatMap((ticket) => ticket.items.map(({ id }) => id)))
  return [
    ...stations
      .filter(({ kind }) => setup[kind] === undefined)
      .map(({ kind }) => ({
        field: `setup.${kind}`,
        message: `there are stations of kind "${kind}": say their set-up times`,
      })),
    ...[...frozen, ...told]
      .filter(({ station }) => !known.has(station))
      .map(({ station }) => ({
        field: 'stations',
        message: `no station "${station}": use one of ${[...known].join(', ')}`,
      })),
    ...frozen
      .flatMap(({ parts }) => parts)
      .filter((part) => !items.has(part.split('/')[0] ?? part))
      .map((part) => ({
        field: 'frozen',
        message: `no item of part "${part}": keep the items of what is being fried`,
      })),
  ]
}

/** Hands may be needed at the beginning and once more; a dish with a second time of its own cannot be split at the end. */
function dishFaults({ dishes }: LineInstance): InstanceFault[] {
  return dishes.flatMap((dish) =>
    Object.entries(dish.on).flatMap(([kind, { phases }]) => {
      const real = phases.filter(({ a, b }) => a + b > 0)
      const times = real.filter(({ hands }, i) => hands && (i === 0 || !real[i - 1]?.hands)).length
      const isApart = real[0]?.hands === false && times > 1
      const isSplitApart = dish.split > 0 && times > 1 && real.at(-1)?.hands === false
      if (times <= 2 && !isApart && !isSplitApart) return []
      return [
        {
          field: `dishes.${dish.id}.on.${kind}`,
          message: 'hands are taken at the start and once more: join the other times',
        },
      ]
    }),
  )
}

function itemFaults(instance: LineInstance): InstanceFault[] {
  const dishes = new Map(instance.dishes.map((dish) => [dish.id, dish]))
  return instance.tickets.flatMap(({ items }, t) =>
    items.flatMap((item, i) => {
      const field = `tickets.${t}.items.${i}`
      const dish = dishes.get(item.dish)
      if (!dish) return [{ field, message: `no dish "${item.dish}": use one of ${[...dishes.keys()].join(', ')}` }]
      const strange = item.mods.find((mod) => dish.mods[mod] === undefined)
      if (strange !== undefined) return [{ field, message: `${dish.id} has no modifier "${strange}"` }]
      if (largestCapOf(dish, instance) <= 0)
        return [{ field, message: `no station takes ${dish.id}: add one, or take it off the list` }]
      const own = contentsOf(dish, item.mods).find((allergen) => item.avoid.includes(allergen))
      if (own === undefined) return []
      return [
        {
          field,
          message: `${item.id} must not meet ${own}, and ${dish.id} as ordered holds it: order it without, or another dish`,
        },
      ]
    }),
  )
}
