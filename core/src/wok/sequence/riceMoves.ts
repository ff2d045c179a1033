import { halfOf, inBase } from './base'
import type { WokComponent } from './component'
import { forSeconds, type Move, type Until } from './moves'
import { ids, inMove, isYolk, lidMove, MOST_S, oilMove, SECONDS } from './makeMoves'
import { rawAlone, type Parts } from './parts'
import type { Choice } from './vocabulary'

/** Rice, with what is half-time in it, then what the hot rice takes up. */
export function riceMoves(parts: Parts, choice: Choice): Move[] {
  const half = halfTime(parts, choice)
  const coats = choice.egg === 'coated' ? parts.egg.filter(isYolk) : []
  const into = coats.length > 0 || choice.egg !== 'coated' ? coats : parts.egg
  const isPressed = choice.rice === 'pressLift'
  const isCovered = choice.lid === 'onRice'
  const isTwofold = isPressed || isCovered || half.length > 0
  const quick = choice.quick === 'afterRice' ? parts.quick : []
  const done: Until = { kind: 'riceDone', ids: ids([...into, ...half]) }
  return [
    ...(choice.egg === 'coated' || isDryVessel(parts, choice) ? [oilMove('rice')] : []),
    {
      ...inMove(
        'rice',
        [...parts.rice, ...into],
        'rice',
        isCovered ? forSeconds(SECONDS.spread) : isTwofold ? { kind: 'riceHalf' } : done,
      ),
      ...(isPressed && { handling: 'press' as const }),
    },
    ...(isCovered ? [{ ...lidMove('rice'), until: { kind: 'riceHalf' } as const }] : []),
    ...(isTwofold ? [inMove(half.length > 0 ? 'halfTime' : 'turn', half, 'rice', done)] : []),
    ...(choice.rice === 'leaveCrust'
      ? [{ ...inMove('crust', [], 'rice', { kind: 'crust', mostS: MOST_S.crust }), handling: 'leave' as const }]
      : []),
    ...(parts.butter.length > 0 ? [inMove('butter', parts.butter, 'rice', forSeconds(SECONDS.butter))] : []),
    ...(quick.length > 0
      ? [
          {
            ...inMove('afterRice', quick, 'rice', {
              kind: 'progress',
              ids: ids(quick),
              at: 0.6,
              mostS: MOST_S.quickLate,
            }),
            ...(choice.garlic === 'halfAndHalf' && { shares: halfOf(quick) }),
          },
        ]
      : []),
    ...(parts.soft.length > 0 && choice.egg !== 'inPassing'
      ? [inMove('afterRice', parts.soft, 'rice', { kind: 'progress', ids: ids(parts.soft), at: 1, mostS: MOST_S.soft })]
      : []),
  ]
}

/** Whether nothing has oiled the vessel when the rice goes in. */
const isDryVessel = (parts: Parts, choice: Choice): boolean =>
  choice.egg !== 'firstUnder' &&
  inBase(
    parts,
    choice,
    parts.raw.filter((one) => !rawAlone(one)),
  ).length === 0

function halfTime(parts: Parts, choice: Choice): WokComponent[] {
  return [
    ...(choice.readyProtein === 'halfTime' ? parts.ready : []),
    ...(choice.readyVeg === 'halfTime' ? parts.readyVeg : []),
  ]
}
