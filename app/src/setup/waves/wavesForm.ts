import type { Waves } from 'contract/kitchen'
import { z } from 'zod'
import { clockText } from '../../mise/services/shifts'
import { typedClock, typedNumber } from '../../ui/form/typed'

type Fault = 'clock' | 'order' | 'every' | 'stay' | 'days'

/** The typed timetable, read: each fault stands at its field. */
export const wavesSchema = (fault: (key: Fault) => string) =>
  z.object({
    stayMin: typedNumber(fault('stay'), { most: 120 }).pipe(z.int(fault('stay'))),
    spans: z.array(
      z
        .object({
          weekdays: z.array(z.number()).min(1, fault('days')),
          fromMin: typedClock(fault('clock')),
          toMin: typedClock(fault('clock')),
          everyMin: typedNumber(fault('every'), { least: 5, most: 720 }).pipe(z.int(fault('every'))),
        })
        .refine((span) => span.toMin >= span.fromMin, { message: fault('order'), path: ['toMin'] }),
    ),
  })

/** The timetable as text in its fields. */
export const typedWaves = ({ spans, stayMin }: Waves) => ({
  stayMin: String(stayMin),
  spans: spans.map(({ weekdays, fromMin, toMin, everyMin }) => ({
    weekdays: [...weekdays],
    fromMin: clockText(fromMin),
    toMin: clockText(toMin),
    everyMin: String(everyMin),
  })),
})

/** A line that nobody changed yet: an evening's boats. */
export const NEW_SPAN = { weekdays: [1, 2, 3, 4, 5, 6, 7], fromMin: '17:00', toMin: '21:30', everyMin: '30' }
