import { z } from 'zod'
import { InstantMs } from './ids'

/** `warn` wants somebody to look at it today; `fail` means that work is or will soon be lost. */
const Mark = z.enum(['pass', 'warn', 'fail'])

/** What a machine's monitor asks: the worst mark of all, and each thing by itself. Measured, not promised. */
export const Health = z.strictObject({
  status: Mark,
  nowMs: InstantMs,
  checks: z.strictObject({
    database: z.strictObject({ status: Mark, answeredInMs: z.number().nullable() }),
    /** Of the folder that holds the data. */
    disk: z.strictObject({ status: Mark, freeMiB: z.int().nullable() }),
    /** The newest one made, and those that this program wants and the data lacks. */
    migrations: z.strictObject({ status: Mark, newest: z.string().nullable(), missing: z.array(z.string()) }),
    /** How far the machine's clock stands before what was recorded last, and from the database's own. */
    clock: z.strictObject({ status: Mark, behindRecordS: z.number().nullable(), fromDatabaseS: z.number().nullable() }),
    backup: z.strictObject({ status: Mark, newestAtMs: z.number().nullable() }),
  }),
})
export type Health = z.infer<typeof Health>
