import type { LineWishes, Pin } from './wishes'

/** A pin that asks for portions which somebody else's later pin has. */
export type OverruledPin = { pin: Pin; by: Pin }

/**
 * Pins that do not get what they ask for, because somebody on another device pinned the same portions later and neither knew of
 * the other. What somebody changes of their own is no conflict.
 * @param waiting portions of each ticket line that nobody has fired
 */
export function overruledPins(
  { pins, pinnedBy }: Pick<LineWishes, 'pins' | 'pinnedBy'>,
  waiting: readonly { itemId: string; portions: number }[],
): OverruledPin[] {
  const left = new Map<string, number>()
  for (const { itemId, portions } of waiting) left.set(itemId, (left.get(itemId) ?? 0) + portions)
  const open = new Map(left)
  const takers = new Map<string, Pin[]>()
  return pins.flatMap((pin) => {
    let by: Pin | undefined
    for (const { itemId, portions } of pin.parts) {
      const wanted = Math.min(portions, open.get(itemId) ?? 0)
      const granted = Math.min(wanted, left.get(itemId) ?? 0)
      const others = takers.get(itemId) ?? []
      if (granted < wanted) by ??= others.find((other) => deviceOf(other) !== deviceOf(pin))
      left.set(itemId, (left.get(itemId) ?? 0) - granted)
      takers.set(itemId, [...others, pin])
    }
    return by ? [{ pin, by }] : []
  })

  function deviceOf({ pinId }: Pin): string | undefined {
    return pinnedBy.get(pinId)?.deviceId
  }
}
