import type { Stamped } from '../event/eventOrder'

/** What can go wrong at the wok. */
export const TROUBLES = ['burning', 'tooWet', 'sticking', 'forgot', 'hurt'] as const
export type Trouble = (typeof TROUBLES)[number]

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
    | { kind: 'trouble'; trouble: Exclude<Trouble, 'forgot'>; stepId: string }
    | { kind: 'trouble'; trouble: 'forgot'; stepId: string; componentId: string }
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
  hurt: 0,
}
