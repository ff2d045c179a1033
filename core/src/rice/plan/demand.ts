import type { ServiceDay } from './forecast'

/** Portions of a dish asked for in one twenty-minute slot of a day; `minute` counts from the kitchen's midnight. */
export type Demand = { day: string; minute: number; dishId: string; portions: number }
/** A service by its hours, in minutes since midnight. */
export type Service = { id: string; fromMin: number; toMin: number }
/** Something and its share of the whole. */
export type Share<K extends string, T> = Record<K, T> & { share: number }

/** The service of a minute of the day: the one it falls in, or the nearest. */
export function serviceOf(services: readonly Service[], minute: number): Service {
  const awayMin = ({ fromMin, toMin }: Service) => Math.max(0, fromMin - minute, minute - toMin + 1)
  const [first] = [...services].sort((a, b) => awayMin(a) - awayMin(b) || a.fromMin - b.fromMin)
  if (!first) throw new RangeError('a kitchen has at least one service')
  return first
}

/** A service of a day that sold out before its end. */
export type SoldOut = { day: string; service: string }

/** Portions by day and service, as the forecast reads them. */
export function portionsByService(
  demand: readonly Demand[],
  services: readonly Service[],
  soldOut: readonly SoldOut[] = [],
): ServiceDay[] {
  const sums = new Map<string, ServiceDay>()
  for (const { day, minute, portions } of demand) {
    const service = serviceOf(services, minute).id
    const key = `${day} ${service}`
    const sum = sums.get(key) ?? { day, service, portions: 0 }
    sum.portions += portions
    sums.set(key, sum)
  }
  for (const { day, service } of soldOut) {
    const sum = sums.get(`${day} ${service}`)
    if (sum) sum.isSoldOut = true
  }
  return [...sums.values()]
}

/** Days whose shares count: recent enough to follow the book. */
const SHARE_DAYS = 28

/** How a service's portions fall to dishes and to boats over its last days on record; the shares of each sum to 1. */
export function sharesOfService(
  demand: readonly Demand[],
  services: readonly Service[],
  serviceId: string,
): { dishes: Share<'dishId', string>[]; boats: Share<'minute', number>[] } {
  const own = demand.filter((one) => serviceOf(services, one.minute).id === serviceId)
  const recent = new Set([...new Set(own.map((one) => one.day))].sort().slice(-SHARE_DAYS))
  const counted = own.filter((one) => recent.has(one.day))
  const total = counted.reduce((sum, one) => sum + one.portions, 0)
  const by = <T>(keyOf: (one: Demand) => T): [T, number][] => {
    const sums = new Map<T, number>()
    for (const one of counted) sums.set(keyOf(one), (sums.get(keyOf(one)) ?? 0) + one.portions)
    return [...sums].filter(([, portions]) => portions > 0)
  }
  return {
    dishes: by((one) => one.dishId)
      .map(([dishId, portions]) => ({ dishId, share: portions / total }))
      .sort((a, b) => b.share - a.share || (a.dishId < b.dishId ? -1 : 1)),
    boats: by((one) => one.minute)
      .map(([minute, portions]) => ({ minute, share: portions / total }))
      .sort((a, b) => a.minute - b.minute),
  }
}
