import { ROLES } from 'core/people/roles'
import { z } from 'zod'
import { InstantMs, line, Name, Slug } from './ids'

/** A place in the kitchen where a device stands, in the kitchen's words; may be empty. */
const Place = line(120)

/** Four to eight digits. */
export const Pin = z.string().regex(/^\d{4,8}$/, 'four to eight digits')

export const RoleName = z.enum(ROLES)

/** Somebody who works here, as the owner sees them. */
export const Person = z.strictObject({ id: Slug, name: Name, role: RoleName, hasPin: z.boolean() })
export type Person = z.infer<typeof Person>
export const PersonList = z.strictObject({ people: z.array(Person) })

/** A new person, or another name or role of one. */
export const PersonDraft = z.strictObject({ name: Name, role: RoleName })
export type PersonDraft = z.infer<typeof PersonDraft>
/** A change of somebody, and what the editor saw: nobody else's change is written over. */
export const PersonEdit = PersonDraft.extend({ was: PersonDraft.exactOptional() })
export const NewPin = z.strictObject({ pin: Pin })
/** Another PIN of one's own. */
export const OwnPin = z.strictObject({ oldPin: Pin, pin: Pin })

/** The device that asks, and who is signed in at it. */
export const Me = z.strictObject({
  kitchen: z.strictObject({ id: Slug, name: Name }),
  device: z.strictObject({ id: z.uuid(), name: Name, place: Place }),
  person: z.strictObject({ id: Slug, name: Name, role: RoleName }).nullable(),
})
export type Me = z.infer<typeof Me>

/** A person signs in at the device; those who only read need no PIN. */
export const SignIn = z.strictObject({ staffId: Slug, pin: Pin.nullable() })

/** What an owner shows to let a device in: a code for half an hour and one use, and its link as a QR code. */
export const Pairing = z.strictObject({
  code: z.string(),
  untilMs: InstantMs,
  link: z.string(),
  /** Rows of the QR code: # is dark. */
  qr: z.array(z.string()),
})
export type Pairing = z.infer<typeof Pairing>
/** A device comes in by a code. */
export const Pair = z.strictObject({ code: z.string().trim().min(4).max(40), name: Name, place: Place })

/** The device as the owner sees it. */
export const PairedDevice = z.strictObject({
  id: z.uuid(),
  name: Name,
  place: Place,
  pairedAtMs: InstantMs,
  pairedBy: Slug.nullable(),
  shutOutAtMs: InstantMs.nullable(),
  /** Who is signed in at it, since when. */
  personId: Slug.nullable(),
  sinceMs: InstantMs.nullable(),
})
export type PairedDevice = z.infer<typeof PairedDevice>
export const DeviceList = z.strictObject({ devices: z.array(PairedDevice) })
export const DeviceDraft = z.strictObject({ name: Name, place: Place })

/** What somebody said who was not allowed to say it then. */
export const Aside = z.strictObject({
  id: z.uuid(),
  deviceName: Name,
  staffId: Slug.nullable(),
  path: z.string(),
  body: z.unknown(),
  keptAtMs: InstantMs,
})
export type Aside = z.infer<typeof Aside>
export const AsideList = z.strictObject({ aside: z.array(Aside) })
export const DecideAside = z.strictObject({ isTaken: z.boolean() })

/** What is written down of whoever changes it. */
export const AUDITED = [
  'ruleSet',
  'limits',
  'price',
  'lotAccepted',
  'personAdded',
  'personChanged',
  'personGone',
  'pinSet',
  'devicePaired',
  'deviceShutOut',
  'recovered',
  'asideTaken',
  'asideLeft',
  'restored',
  'sampleDeleted',
] as const
export const AuditEntry = z.strictObject({
  id: z.uuid(),
  atMs: InstantMs,
  staffId: Slug.nullable(),
  deviceName: Name.nullable(),
  what: z.enum(AUDITED),
  subject: z.string(),
  was: z.string().nullable(),
  became: z.string().nullable(),
})
export type AuditEntry = z.infer<typeof AuditEntry>
export const AuditPage = z.strictObject({ entries: z.array(AuditEntry), next: z.string().nullable() })

/** The owner's way back in: the code that was written on paper, and the PIN from now on. */
export const Recover = z.strictObject({ code: z.string().trim().min(10).max(60), pin: Pin })
/** The owner's code on paper; shown once. */
export const Recovery = z.strictObject({ code: z.string() })
