/** Places that a component can be held in against the rice and the flame. */
export const PIN_SLOTS = ['beforeRice', 'afterRice', 'afterOff'] as const
/** So many seconds may lie between a component and what goes in next. */
export const PIN_SECONDS = { least: 3, most: 600 } as const
/**
 * What somebody holds: a component against another, against the rice, in or out of the vessel, or so many seconds before the
 * next thing goes in.
 */
export type Pin =
  | { component: string; before: string }
  | { component: string; after: string }
  | { component: string; slot: (typeof PIN_SLOTS)[number] }
  | { component: string; leaves: boolean }
  | { component: string; forS: number }

/** Components that a pin names. */
const namedBy = (pin: Pin): string[] => [
  pin.component,
  ...('before' in pin ? [pin.before] : 'after' in pin ? [pin.after] : []),
]

/** Pins of which everything is still there. */
export const pinsAmong = (pins: readonly Pin[], ids: ReadonlySet<string>): Pin[] =>
  pins.filter((pin) => namedBy(pin).every((id) => ids.has(id)))

/** The pins with another one: a component has one place, one time, and one word on whether it leaves. */
export const withPinOf = (pins: readonly Pin[], pin: Pin): Pin[] => [
  ...pins.filter((one) => matterOf(one) !== matterOf(pin)),
  pin,
]

/** What a pin is about: the place of a component, its time, or whether it leaves. */
export const matterOf = (pin: Pin): string =>
  `${pin.component} ${'leaves' in pin ? 'leaves' : 'forS' in pin ? 'time' : 'place'}`

/** Whole seconds within what may be held. */
export const heldSeconds = (seconds: number): number =>
  Math.min(PIN_SECONDS.most, Math.max(PIN_SECONDS.least, Math.round(seconds)))

/** The pin of a component that was pulled to so many seconds. */
export const pinOfSeconds = (component: string, seconds: number): Pin => ({
  component,
  forS: heldSeconds(seconds),
})

/**
 * The pin that says what a drag did: dragged later, it comes after the one now before it; dragged earlier, before the one now
 * after it. Null where it lies where it was.
 * @param order ids in the order in which they go in
 */
export function pinOfMove(order: readonly string[], component: string, to: number): Pin | null {
  const from = order.indexOf(component)
  if (from < 0 || to === from) return null
  const others = order.filter((id) => id !== component)
  const neighbour = to > from ? others[to - 1] : others[to]
  if (neighbour === undefined) return null
  return to > from ? { component, after: neighbour } : { component, before: neighbour }
}
