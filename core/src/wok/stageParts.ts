import type { Component, EggSchool, Schools, StationKind } from '../book/dish'
import type { CheckedFood } from '../safety/limits'
import { HOUSE_S } from './houseFigures'
import type { PlacedComponent } from './place'
import type { Entry, SafetyCheck, Step } from './score'

/** What the stages need to know of this batch and this kitchen. */
export type Kitchen = {
  massG: (component: Component) => number
  amount: (component: Component, share: number, motion: Entry['motion']) => Entry
  /** So much of a component for some of the portions. */
  apart: (component: Component, massG: number, motion: Entry['motion']) => Entry
  limit: (food: CheckedFood) => SafetyCheck
  schools: Schools
  stationKind: StationKind
  riceMassG: number
}

/** A step before it has its place and its check. */
export type StepDraft = Omit<Step, 'id' | 'startS' | 'check' | 'figure'> & { check?: SafetyCheck }

/** Components with their whole amount in the batch, each with the same motion. */
export const whole = (kitchen: Kitchen, components: readonly Component[], motion: Entry['motion']) =>
  components.map((component) => kitchen.amount(component, 1, motion))

/** Mass [g] of components together in the batch. */
export const massOf = (kitchen: Kitchen, components: readonly Component[]) =>
  components.reduce((sum, component) => sum + kitchen.massG(component), 0)

/** Oil goes in once, or in halves when the vessel is emptied between the egg or protein and the base. */
export function oil(placed: PlacedComponent, kitchen: Kitchen, share: number, heat: Step['heat']): StepDraft[] {
  if (placed.oil.length === 0 || share <= 0) return []
  return [
    {
      action: 'oilIn',
      durationS: HOUSE_S.oilIn,
      heat,
      entries: placed.oil.map((component) => kitchen.amount(component, share, 'in')),
      cue: 'oilShimmers',
      reason: 'oilKeepsOff',
      cautions: ['oilNearSmoke'],
    },
  ]
}

/** Whether something is taken out before the base, so that the vessel is oiled twice. */
export function leavesVessel(placed: PlacedComponent, egg: EggSchool): boolean {
  return egg === 'firstOut' || placed.rawProtein.length > 0
}
