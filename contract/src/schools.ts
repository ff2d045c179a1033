import { SCHOOLS, type SchoolName, type SchoolValue } from 'core/book/schools'
import { z } from 'zod'

type Said<Name extends SchoolName> = z.ZodOptional<z.ZodType<SchoolValue<Name> | 'auto'>>

/** Every school of the engine, so that none can be forgotten here. */
const schools = Object.fromEntries(
  Object.entries(SCHOOLS).map(([name, values]) => [name, z.enum([...values, 'auto']).optional()]),
) as unknown as { [Name in SchoolName]: Said<Name> }

/** What a dish holds of how it is cooked: `auto`, or nothing, leaves it to the engine. */
export const StatedSchools = z.strictObject(schools)
