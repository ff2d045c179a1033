import { ProblemDetails } from 'contract/problem'
import type { Instrument } from 'core/house/instruments'
import type { Db } from '../db/pool'
import { Problem } from '../http/problems'
import { kitchenOf } from '../setup/kitchenOf'

/** What a reading answers where the kitchen has no such instrument; changes may always answer 409. */
export const NO_INSTRUMENT = {
  409: {
    description: 'The kitchen has none of these: it is chosen in Setup, Instruments',
    content: { 'application/problem+json': { schema: ProblemDetails } },
  },
}

/** Whether the kitchen said that it has this instrument. */
export const hasInstrument = async (db: Db, kitchenId: string, instrument: Instrument): Promise<boolean> =>
  (await kitchenOf(db, kitchenId)).instruments.includes(instrument)

/** @throws {Problem} no-instrument: the figures of a stand-in that nobody chose must not reach the record */
export async function needInstrument(db: Db, kitchenId: string, instrument: Instrument): Promise<void> {
  if (await hasInstrument(db, kitchenId, instrument)) return
  throw new Problem('no-instrument', {
    detail: `this kitchen has no ${instrument}: choose it in Setup, Instruments, or type the figure`,
    values: { instrument },
  })
}
