import { metalC } from '../heat/pan'
import { AIR_C } from '../heat/parameters'
import type { HeatLevel, Score, Step } from '../score'
import type { WokComponent } from '../sequence/component'
import { Cooking } from '../sequence/cooking'
import { handlingFor, heatFor, type Heat } from '../sequence/levels'
import type { Segment } from '../sequence/moves'
import { burnOf } from '../sequence/progress'
import { RICE, type Station } from '../sequence/run'
import type { Choice } from '../sequence/vocabulary'

/** A fired batch in the model's terms. */
export type LiveBatch = { components: readonly WokComponent[]; station: Station; choice: LiveChoice }
type LiveChoice = Pick<Choice, 'heat' | 'lastToss' | 'sauce' | 'preheat'>

/** What the food has come to at an instant. */
export type Mark = {
  progress: ReadonlyMap<string, number>
  burn: ReadonlyMap<string, number>
  /** Of the rice, if it is in: its core [°C], seconds in which it fried, its free water as a share, its crust from 0 to 1. */
  rice: { id: string; coreC: number; fryingS: number; freeFraction: number; crust: number } | null
  metalC: number
}

/**
 * What the food had come to when a step of the score began and ended, how long it was to last, and how long before its end the
 * food was there already: so long it waited for something that the model does not follow [s].
 */
export type Planned = { before: Mark; after: Mark; durationS: number; slackS: number }
export type PlannedMarks = ReadonlyMap<string, Planned>

/** What is too little, or too late, to change the heat of the heap. */
const STAYS_COOL: readonly WokComponent['place'][] = ['dry', 'volatile', 'finish', 'garnish']
const EGG_STEPS: readonly Step['action'][] = ['eggIn', 'eggOut', 'eggAside']
const OWN_STEPS: readonly Step['action'][] = ['proteinIn', 'proteinOut', 'checkCore']
const RICE_STEPS: readonly Step['action'][] = ['riceIn', 'turnRice', 'leaveCrust', 'eggWell']
const HANDS_ONLY: readonly Step['action'][] = ['takeOut', 'finishOn', 'pickUp']

/** The metal at most, and how far the valve is open, where a cook sets the flame by hand. [C] */
const BY_HAND: Readonly<Record<Exclude<HeatLevel, 'off'>, { belowK: number; open: number }>> = {
  low: { belowK: 110, open: 0.45 },
  medium: { belowK: 85, open: 0.8 },
  high: { belowK: 40, open: 1 },
  full: { belowK: 0, open: 1 },
}

/** A batch being cooked by the steps of its score, for as long as each truly took. */
export class LiveCooking {
  /** What the dish names, with the shares in which it goes in. */
  private readonly byName: ReadonlyMap<string, readonly WokComponent[]>
  private readonly cooking: Cooking
  private riceId: string | null = null

  /** With the vessel at `metalC`; in the kitchen's air, where nothing was cooked in it before. */
  constructor(
    private readonly batch: LiveBatch,
    startC = AIR_C,
  ) {
    const names = new Set(batch.components.map(({ of }) => of))
    this.byName = new Map([...names].map((name) => [name, batch.components.filter(({ of }) => of === name)]))
    const { vessel, isGriddle } = batch.station
    const fromC = isGriddle ? Math.max(startC, vessel.holdC - 8) : startC
    this.cooking = Cooking.start(vessel, fromC, fromC, 'ranking')
  }

  get atS(): number {
    return this.cooking.pan.atS
  }

  /** Sets the flame of a step and puts in or takes out what it names. */
  begin(step: Step): void {
    const { choice } = this.batch
    this.setFlame(step, step.heat)
    if (step.surface === 'beside' || HANDS_ONLY.includes(step.action)) return
    const leaving = step.entries
      .filter(({ motion }) => motion === 'out')
      .flatMap((entry) => this.idsOf(entry.componentId))
    if (leaving.length > 0) this.cooking.takeOut(leaving)
    for (const { componentId, massG, motion } of step.entries) {
      const one = this.shareOf(componentId, massG)
      if (!one) continue
      if (motion === 'back') for (const id of this.idsOf(componentId)) this.cooking.bringBack(id)
      if (motion !== 'in' || STAYS_COOL.includes(one.place)) continue
      if (one.place === 'fat') this.cooking.oil(massG)
      else
        this.cooking.add(one, Math.min(1, massG / one.massG), {
          isPatch: step.action === 'eggWell',
          isOnWall: step.action === 'sauceIn' && choice.sauce === 'wall',
        })
      if (one.place === 'rice') this.riceId = one.id
    }
  }
  /** Of a component that goes in by shares the one that weighs most nearly so much. */
  private shareOf(name: string, massG: number): WokComponent | undefined {
    const off = (one: WokComponent) => Math.abs(one.massG - massG)
    return this.byName.get(name)?.reduce((near, one) => (off(one) < off(near) ? one : near))
  }
  private idsOf(name: string): string[] {
    return (this.byName.get(name) ?? []).map(({ id }) => id)
  }
  end(step: Step): void {
    this.cooking.settleFat()
    if (step.action === 'eggWell') this.cooking.fold()
  }
  setFlame(step: Step, level: HeatLevel): void {
    if (level === 'off') return this.cooking.off()
    this.cooking.work(this.heatOf(step, level), this.handlingOf(step))
  }
  go(seconds: number): void {
    const toS = this.atS + seconds
    while (this.atS < toS - 1e-6) this.cooking.step(toS - this.atS, 0)
  }
  step(leftS: number): void {
    this.cooking.step(leftS, 0)
  }

  /** How far a component in the vessel has come; without end for what is not in it. */
  progressOf(id: string): number {
    return this.cooking.progress(this.cooking.indexesOf([id]))
  }
  rice(): Mark['rice'] {
    const { cooking } = this
    if (this.riceId === null) return null
    const [index] = cooking.indexesOf([this.riceId])
    return {
      id: this.riceId,
      coreC: index === undefined ? 0 : cooking.coreC(index),
      fryingS: cooking.seen.fryingS,
      freeFraction: cooking.freeFraction(),
      crust: index === undefined ? 0 : Math.min(1, cooking.doneness(index).browning / RICE.crustBrowning),
    }
  }
  mark(): Mark {
    const { cooking } = this
    const progress = new Map<string, number>()
    const burn = new Map<string, number>()
    cooking.inside.forEach(({ one }, index) => {
      progress.set(one.id, cooking.progress([index]))
      burn.set(one.id, burnOf(one, cooking.doneness(index)))
    })
    return { progress, burn, rice: this.rice(), metalC: metalC(cooking.pan) }
  }

  private heatOf(step: Step, level: Exclude<HeatLevel, 'off'>): Heat {
    const { vessel } = this.batch.station
    const planned = heatFor(this.batch.choice, this.segmentOf(step), vessel.holdC)
    if (level === planned.level) return planned
    const { belowK, open } = BY_HAND[level]
    return { ceilingC: vessel.holdC - belowK, open, level }
  }
  private segmentOf({ action }: Step): Segment {
    if (EGG_STEPS.includes(action) && this.riceId === null) return 'egg'
    if (OWN_STEPS.includes(action)) return 'own'
    if (action === 'heatVessel' || RICE_STEPS.includes(action)) return 'rice'
    return this.riceId !== null ? 'end' : 'base'
  }
  private handlingOf(step: Step) {
    if (step.action === 'lidOn') return 'cover'
    if (step.action === 'leaveCrust' || step.action === 'heatVessel') return 'leave'
    return handlingFor(this.segmentOf(step), this.batch.station.handling)
  }
}

/** What a score decided, as far as cooking on by it asks; null for scores by house figures. */
export function liveChoiceOf({ basis }: Pick<Score, 'basis'>): LiveChoice | null {
  if (!basis) return null
  const { heat, lastToss, sauce, preheat } = basis.choice as Partial<LiveChoice>
  return heat && lastToss && sauce && preheat ? { heat, lastToss, sauce, preheat } : null
}
