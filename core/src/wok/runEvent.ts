import type { Stamped } from '../event/eventOrder'
import type { HeatLevel } from './score'

/** What can go wrong at the wok. */
export const TROUBLES = ['burning', 'tooWet', 'sticking', 'forgot', 'ranOut', 'flameDied', 'hurt'] as const
export type Trouble = (typeof TROUBLES)[number]
/** Why the rest of a run takes another time than it stood. */
export const RETIME_WHYS = ['asPlanned', 'furtherAlready', 'notSoFar', 'burnLimit'] as const
export type RetimeWhy = (typeof RETIME_WHYS)[number]
/** What a cook puts in for a component that ran out: a row of the ingredient table, by the name that is said of it. */
export type StandIn = { ingredientId: string; name: string }
/** Troubles with one component. */
export const COMPONENT_TROUBLES = ['forgot', 'ranOut'] as const
export type ComponentTrouble = (typeof COMPONENT_TROUBLES)[number]
export const isOfComponent = (trouble: Trouble): trouble is ComponentTrouble =>
  trouble === 'forgot' || trouble === 'ranOut'

/**
 * What a cook says during a run. Nothing is edited: an undo names the event it takes back.
 * `stepId` is the step that the cook was looking at, so that a word that arrives late cannot end the wrong step.
 */
export type RunEvent = Stamped & { runId: string; deviceId: string } & (
    | { kind: 'done'; stepId: string }
    /** The answer to a safety check, with the core temperature where it was read. */
    | { kind: 'checked'; stepId: string; ok: boolean; tempC: number | null; tempF: number | null }
    | { kind: 'later'; stepId: string; delayS: number }
    | { kind: 'handsFree'; on: boolean }
    | { kind: 'trouble'; trouble: Exclude<Trouble, ComponentTrouble>; stepId: string }
    | { kind: 'trouble'; trouble: 'forgot'; stepId: string; componentId: string }
    /** It is left out of the rest, or something else goes in for it. */
    | { kind: 'trouble'; trouble: 'ranOut'; stepId: string; componentId: string; standIn?: StandIn | undefined }
    /** The cook turned the flame: it stays so until the step ends. */
    | { kind: 'flame'; stepId: string; heat: HeatLevel }
    /**
     * The rest of the score, worked out again by a device from the true state of the food. It names what it answers, and is
     * gone when that is taken back.
     */
    | {
        kind: 'retimed'
        stepId: string
        steps: readonly { stepId: string; durationS: number }[]
        why: RetimeWhy
        componentId: string | null
        causeId: string | null
      }
    | { kind: 'stopped' }
    | { kind: 'undone'; eventId: string }
  )

/** How much longer food stays on the flame when a check is answered with no [s]: a house figure, common practice. */
export const NOT_YET_S = 20

/** Seconds that a remedy adds to the step in hand: house figures, common practice. */
export const TROUBLE_DELAY_S: Readonly<Record<Trouble, number>> = {
  burning: 20,
  tooWet: 20,
  sticking: 8,
  forgot: 10,
  ranOut: 0,
  flameDied: 0,
  hurt: 0,
}
