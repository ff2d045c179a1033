import { CUT_SHAPES } from 'core/book/dish'
import { z } from 'zod'

/** How something is cut, and how large; null where no size is said. */
export const Cut = z.strictObject({ shape: z.enum(CUT_SHAPES), sizeMm: z.number().positive().max(300).nullable() })
