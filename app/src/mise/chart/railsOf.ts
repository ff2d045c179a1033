import type { StationKind } from 'core/book/dish'
import { packRails, pansFor, type RailPan, type RailSpot } from 'core/mise/need/vessels'
import type { MiseTask } from '../useKitchenPlan'

export type StandingPan = RailPan & { name: string; state: 'ready' | 'coming' | 'short' }
type StationRails = { station: string; name: string; rails: RailSpot<StandingPan>[][] }

type RailsInput = {
  stations: readonly { id: string; name: string; kind: StationKind }[]
  kindOf: ReadonlyMap<string, StationKind>
  items: readonly {
    itemId: string
    name: string
    grossG: number
    isServed: boolean
    uses: readonly { dishId: string }[]
  }[]
  tasks: readonly MiseTask[]
  shortIds: ReadonlySet<string>
}

/** What stands in the rails of each kind of station: everything cut or made that its dishes take, in pans that hold it. */
export function railsOf({ stations, kindOf, items, tasks, shortIds }: RailsInput): StationRails[] {
  const kinds = [...new Set(stations.map((station) => station.kind))]
  return kinds.map((kind) => {
    const own = stations.filter((station) => station.kind === kind)
    const pans = items.flatMap((item): StandingPan[] => {
      if (item.itemId.startsWith('ingredient:') || item.grossG <= 0 || !item.isServed) return []
      if (!item.uses.some((use) => kindOf.get(use.dishId) === kind)) return []
      const pan = pansFor(item.grossG / own.length)
      if (!pan) return []
      const makers = tasks.filter((task) => task.gives?.itemId === item.itemId)
      const isReady = makers.every((task) => task.status === 'done')
      const state = shortIds.has(item.itemId) ? 'short' : isReady ? 'ready' : 'coming'
      return [{ itemId: item.itemId, size: pan.size, name: item.name, state }]
    })
    return {
      station: own.map((one) => one.id).join(),
      name: own.map((one) => one.name).join(', '),
      rails: packRails(pans),
    }
  })
}
