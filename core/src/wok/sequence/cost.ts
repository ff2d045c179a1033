import type { WokComponent } from './component'
import { COST, intoRiceCost, OVERDONE_PER_S, shortfallCost, tooSoftCost } from './costWeights'
import type { Run, Station } from './run'

const DIP_BELOW_C = 140
const FRIED_S = 25
const FREE_OVER = 0.006
const BURN_OVER = 0.6
const BUTTER_BROWNS_C = 150

/** What a run costs, in the unit of the weights. */
export function costOf(run: Run, { isGriddle }: Pick<Station, 'isGriddle'>): number {
  const { moves, rice } = run
  const count = (test: (done: Run['moves'][number]) => boolean) => moves.filter(test).length
  const waitedS = moves.reduce((sum, { waitedS: one }) => sum + one, 0)
  const riceAt = moves.findIndex(({ move }) => move.slot === 'rice')
  const riceG = massOf(run, ({ place }) => place === 'rice')
  let cost =
    COST.takeOut * count(({ move }) => move.kind === 'out') +
    COST.wipe * count(({ move }) => move.kind === 'wipe') +
    COST.perS * run.totalS +
    COST.waitPerS * waitedS +
    COST.entry * count(({ move }) => move.kind === 'in') +
    COST.dipPerK * Math.max(0, DIP_BELOW_C - rice.lowestC) +
    COST.unfriedPerS * Math.max(0, FRIED_S - rice.fryingS) +
    COST.freeWater * Math.max(0, rice.freeFraction - FREE_OVER) +
    COST.asidePerK * run.asideK +
    COST.caramel * Math.min(1, run.caramel) +
    COST.butterPerK * (Math.max(0, run.butterC - BUTTER_BROWNS_C) + run.fatOverK)
  for (const { one, progress, burn, overS, softness } of run.ended) {
    cost += COST.burn * Math.max(0, burn - BURN_OVER)
    cost +=
      (OVERDONE_PER_S[one.food] ?? 0) *
      (one.place === 'raw' || one.place === 'ready' || one.place === 'egg' ? overS : 0)
    cost += shortfallCost(one.place, progress)
    if (one.place === 'leaf') cost += tooSoftCost(softness / one.goal, 'leaf')
    if (one.place === 'slow' || one.place === 'crisp') cost += tooSoftCost(softness / one.goal, 'vegetable')
  }
  let isDirty = false
  moves.forEach(({ move }, index) => {
    const some = move.kind === 'in' ? move.ids.flatMap((id) => componentIn(run, id) ?? []) : []
    if (move.kind === 'wipe') isDirty = false
    if (move.slot === 'eggUnder' && isDirty) cost += COST.eggOnDirty
    if (move.slot === 'egg' && isDirty) cost += COST.eggOnDirty
    if (move.slot === 'own' || move.slot === 'base') isDirty = true
    for (const one of some) {
      if (one.place === 'quick' && !isGriddle && (index > riceAt || isAfterQuickVegetable(run, index)))
        cost += move.slot === 'finish' ? 0 : COST.quickLate
      if (index > riceAt && riceG > 0) cost += intoRiceCost(one, riceG)
    }
  })
  if (run.choice.heat === 'zones') cost += COST.acrossZones * count(({ move }) => move.kind === 'out')
  return cost
}

/** Whether something that is not slow went in before the aromatics of this move. */
function isAfterQuickVegetable(run: Run, index: number): boolean {
  return run.moves
    .slice(0, index)
    .some(({ move }) => move.slot === 'base' && move.ids.some((id) => componentIn(run, id)?.place === 'crisp'))
}

const componentIn = (run: Run, id: string): WokComponent | undefined => run.ended.find(({ one }) => one.id === id)?.one
const massOf = (run: Run, test: (one: WokComponent) => boolean): number =>
  run.ended.reduce((sum, { one }) => sum + (test(one) ? one.massG : 0), 0)
