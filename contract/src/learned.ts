import { z } from 'zod'
import { InstantMs, RunId, Slug } from './ids'

/** What learns: a station, or a dish. */
export const LearnedKind = z.enum(['station', 'dish'])
export type LearnedKind = z.infer<typeof LearnedKind>

/** One run as it bears on a factor: seconds planned and taken, and the factor that the plan had. */
export const LearnedRun = z.strictObject({
  runId: RunId,
  stationId: Slug,
  dishId: Slug,
  atMs: InstantMs,
  plannedS: z.number().positive(),
  actualS: z.number().positive(),
  factor: z.number().positive(),
})
export type LearnedRun = z.infer<typeof LearnedRun>

/** What runs say of the seconds of a station or a dish: above 1 it takes longer than the model says. */
export const LearnedState = z.strictObject({
  kind: LearnedKind,
  subjectId: Slug,
  factor: z.number().positive(),
  runs: z.int().min(0),
  isFrozen: z.boolean(),
  /** Runs before this are not looked at. */
  sinceMs: z.int().min(0),
  /** The newest runs, the oldest of them first. */
  recent: z.array(LearnedRun),
})
export type LearnedState = z.infer<typeof LearnedState>

/** Lets a factor follow its runs again, freezes it as it is, or forgets the runs so far. */
export const PostLearned = z.strictObject({ does: z.enum(['follow', 'freeze', 'forget']) })
export type PostLearned = z.infer<typeof PostLearned>
