import type { Step } from '../score'
import type { LiveBatch, Mark, PlannedMarks } from './liveCooking'

/** What goes wrong if the run goes on as it stands; each has one thing to do, in the words of the interface. */
export type WarningCode = 'burns' | 'steams' | 'riceWet' | 'sauceEarly' | 'rawShort' | 'riceCold'
/** `atS`: when it happens, in seconds since the run was fired. */
export type Warning = { code: WarningCode; componentId: string | null; atS: number }

/** From this share of its burn limit on a component is called burning. */
const BURNS_AT = 0.9
/** Fried for less than this when the sauce comes, rice has steamed [s]; wetter than this against the plan it is wet. [C] */
const STEAMED = { fryingS: 10, wetter: 1.6, leastFree: 0.012 } as const
/** Rice may end this much below what its score reached [K]. */
const COLDER_K = 2

/** Everything that is seen coming, soonest first, each component and kind once. */
export function warningsOf(
  batch: LiveBatch,
  marks: readonly { step: Step; atS: number; mark: Mark }[],
  fromS: number,
  plan: PlannedMarks,
): Warning[] {
  const found = new Map<string, Warning>()
  const warn = (code: WarningCode, componentId: string | null, atS: number) => {
    const key = `${code} ${componentId ?? ''}`
    if (!found.has(key)) found.set(key, { code, componentId, atS: Math.round(atS) })
  }
  const raw = batch.components.filter(({ place }) => place === 'raw')
  const rice = batch.components.find(({ place }) => place === 'rice')?.id ?? null
  marks.forEach(({ step, atS, mark }, index) => {
    if (atS < fromS) return
    const planned = plan.get(step.id)?.after
    for (const [id, burn] of mark.burn)
      if (burn >= BURNS_AT && burn > (planned?.burn.get(id) ?? 0)) warn('burns', id, atS)
    const next = marks[index + 1]?.step
    if (step.check !== null && step.check.food !== 'rice' && step.check.food !== 'egg')
      for (const { id, checked } of raw)
        if (checked === step.check.food && (mark.progress.get(id) ?? 1) < 1 && (planned?.progress.get(id) ?? 0) >= 1)
          warn('rawShort', id, atS)
    if (!mark.rice || !planned?.rice) return
    const isWet = mark.rice.freeFraction > Math.max(STEAMED.leastFree, STEAMED.wetter * planned.rice.freeFraction)
    if (next?.action === 'sauceIn' && isWet) warn('sauceEarly', rice, atS)
    if (step.action === 'riceIn' && mark.rice.fryingS < STEAMED.fryingS && planned.rice.fryingS >= STEAMED.fryingS)
      warn('steams', rice, atS)
    if ((step.action === 'hotCheck' || step.action === 'pickUp') && mark.rice.coreC < planned.rice.coreC - COLDER_K)
      warn('riceCold', rice, atS)
    if (step.action === 'sauceIn' && isWet) warn('riceWet', rice, atS)
  })
  return [...found.values()].sort((a, b) => a.atS - b.atS)
}
