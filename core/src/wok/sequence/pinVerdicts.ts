import type { Pin } from '../../book/pins'
import { best, type Candidate } from './candidate'
import { isTimed, keepsPin, withPin, type PinVerdict } from './pins'

/** A time is tried in so many ways of cooking that hold without it. */
const MOST_WAYS = 6

type Cook = (list: Pick<Candidate, 'choice' | 'moves'>) => Candidate

/**
 * What becomes of the pins after the ways that the grammar has were tried: where one of them keeps all, that; else the best is
 * edited pin by pin and judged, places first and times after them. What was cooked for it stands among what was tried.
 */
export function pinVerdicts(pins: readonly Pin[], tried: readonly Candidate[], cook: Cook): PinVerdict[] {
  if (tried.some((one) => one.faults.length === 0 && keepsAll(one, pins)))
    return pins.map((pin) => ({ pin, isKept: true, because: [] }))
  const verdicts: PinVerdict[] = []
  let base = best(tried)
  const kept = () => verdicts.filter(({ isKept }) => isKept).map(({ pin }) => pin)
  for (const pin of pins.filter((one) => !isTimed(one))) {
    if (keepsPin(base.moves, pin) && base.faults.length === 0) {
      verdicts.push({ pin, isKept: true, because: [] })
      continue
    }
    const { verdict, way } = triedIn([base], [pin], kept(), cook)
    if (verdict.isKept) base = way
    verdicts.push(verdict)
  }
  const places = kept()
  const ways = [base, ...othersLike(base, tried, places)]
  const times: Pin[] = []
  for (const pin of pins.filter(isTimed)) {
    const { verdict } = triedIn(ways, [...times, pin], kept(), cook)
    if (verdict.isKept) times.push(pin)
    verdicts.push(verdict)
  }
  return pins.map((pin) => verdicts.find((one) => one.pin === pin)!)
}

const keepsAll = ({ moves }: Pick<Candidate, 'moves'>, pins: readonly Pin[]) =>
  pins.every((pin) => keepsPin(moves, pin))

/** Other ways that hold and keep these pins, the cheapest first. */
const othersLike = (base: Candidate, tried: readonly Candidate[], pins: readonly Pin[]): Candidate[] =>
  tried
    .filter((one) => one !== base && one.faults.length === 0 && keepsAll(one, pins))
    .sort((a, b) => a.cost - b.cost)
    .slice(0, MOST_WAYS - 1)

/** The last of the pins put in with those before it, into the first way that then holds; what stands against it in the first way. */
function triedIn(
  ways: readonly Candidate[],
  pins: readonly Pin[],
  kept: readonly Pin[],
  cook: Cook,
): { verdict: PinVerdict; way: Candidate } {
  const pin = pins.at(-1)!
  let because: readonly string[] | null = null
  for (const way of ways) {
    const moves = pins.reduce<Candidate['moves'] | null>((list, one) => list && withPin(list, one), way.moves)
    if (!moves) return { verdict: { pin, isKept: false, because: ['unknownComponent'] }, way }
    const edited = cook({ choice: way.choice, moves })
    const breaks = kept.some((one) => !keepsPin(edited.moves, one))
    if (edited.faults.length === 0 && keepsPin(edited.moves, pin) && !breaks)
      return { verdict: { pin, isKept: true, because: [] }, way: edited }
    because ??= breaks ? ['contradicts'] : edited.faults.map(({ code }) => code)
  }
  return { verdict: { pin, isKept: false, because: because ?? [] }, way: ways[0]! }
}
