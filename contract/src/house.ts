import { RULE_SETS } from 'core/safety/limits'
import { z } from 'zod'
import { StationKind } from './dish'
import { Name, Slug } from './ids'
import { Pin } from './people'
import { RicePlace, RiceVessel } from './riceHouse'

const zones = new Set(Intl.supportedValuesOf('timeZone'))
/** A time zone of the IANA database. */
const TimeZone = z
  .string()
  .refine((zone) => zone === 'UTC' || zones.has(zone), 'a time zone of the IANA list, as in Europe/Lisbon')
/** A language and country (BCP 47), by which figures and dates are written. */
const Locale = z.string().refine((tag) => {
  try {
    return Intl.getCanonicalLocales(tag).length === 1
  } catch {
    return false
  }
}, 'a language and country, as in en-GB')
const Currency = z.string().regex(/^[A-Z]{3}$/, 'three capital letters of ISO 4217, as in USD')

/** What a kitchen is called, where it is, and in what it writes. */
export const KitchenHead = z.strictObject({ name: Name, timeZone: TimeZone, locale: Locale, currency: Currency })
export type KitchenHead = z.infer<typeof KitchenHead>

/** An own kitchen, empty but for its name and the rules that it keeps to. */
export const NewKitchen = KitchenHead.extend({ ruleSet: z.enum(RULE_SETS) })
export type NewKitchen = z.infer<typeof NewKitchen>
/** A new kitchen, and the code by which the first device comes into it. */
export const KitchenMade = z.strictObject({ id: Slug, code: z.string() })

/** Who answers for a kitchen that has nobody yet. */
export const FirstOwner = z.strictObject({ name: Name, pin: Pin })

/** What a person says of a station at first; its plate and calibration follow. */
export const StationDraft = z.strictObject({
  name: Name,
  kind: StationKind,
  powerW: z.number().min(300, 'in watts, at least 300: 3.5 kW is 3500').max(60_000, 'at most 60,000 W').nullable(),
  capPortions: z.int('whole portions').min(1, 'at least 1').max(60, 'at most 60'),
})
export type StationDraft = z.infer<typeof StationDraft>

/** A changed station, with what it was when the change began. */
export const StationEdit = StationDraft.extend({ was: StationDraft.exactOptional() })

export const VesselDraft = RiceVessel.omit({ id: true, loadsWeighed: true })
export type VesselDraft = z.infer<typeof VesselDraft>
export const VesselEdit = VesselDraft.extend({ was: VesselDraft.exactOptional() })
export const PlaceDraft = RicePlace.omit({ id: true })
export type PlaceDraft = z.infer<typeof PlaceDraft>
export const PlaceEdit = PlaceDraft.extend({ was: PlaceDraft.exactOptional() })
/** A dish of the sample kitchen, as a sketch to change. */
export const Sketch = z.strictObject({ dishId: Slug })
export const SketchList = z.strictObject({
  sketches: z.array(z.strictObject({ dishId: Slug, name: Name, stationKind: StationKind })),
})
