import { z } from 'zod'
import { Slug } from './ids'

/** The name under which a browser keeps it. */
export const ARCHIVE_NAME = 'okazu-kitchen.zip'
/** Raised whenever an older Okazu could not read what a newer one writes. */
export const ARCHIVE_VERSION = 1
/** An archive is sent in parts of this size, so that a network that goes costs one part. */
export const PART_BYTES = 1_048_576
/** Far more than a kitchen writes in ten years. */
export const MOST_ARCHIVE_BYTES = 1024 * 1_048_576

const Sha256 = z.string().regex(/^[0-9a-f]{64}$/)

/** A file of an archive: what it must come to once it is unpacked. */
export const ArchiveFile = z.strictObject({
  path: z.string().regex(/^(tables|csv)\/[a-z_]+\.(json|csv)$/),
  /** Lines of a table; null for a CSV, which is for people and is not read back. */
  rows: z.int().min(0).nullable(),
  bytes: z.int().min(0),
  sha256: Sha256,
})
export type ArchiveFile = z.infer<typeof ArchiveFile>

/** `manifest.json`: what an archive is, and what its files must come to. */
export const ArchiveManifest = z.strictObject({
  format: z.literal('okazu-kitchen'),
  version: z.int().min(1),
  /** The last migration of the database that wrote it. */
  schema: z.string().regex(/^\d{4}_\w+\.sql$/),
  kitchen: z.strictObject({ id: Slug, name: z.string() }),
  exportedAtMs: z.int(),
  files: z.array(ArchiveFile).max(200),
})
export type ArchiveManifest = z.infer<typeof ArchiveManifest>

/** How much of an archive has arrived. */
export const IncomingArchive = z.strictObject({ bytes: z.int().min(0) })
export type IncomingArchive = z.infer<typeof IncomingArchive>

/** Where the next part of an archive begins. */
export const PartQuery = z.object({ at: z.coerce.number().int().min(0).max(MOST_ARCHIVE_BYTES) })
/** All parts were sent: so many bytes. */
export const ReadArchive = z.strictObject({ bytes: z.int().min(1).max(MOST_ARCHIVE_BYTES) })

/** A kitchen as its archive has it; its first owner comes in with this PIN, and keeps this code on paper. */
export const RestoredKitchen = z.strictObject({
  name: z.string(),
  exportedAtMs: z.int(),
  owner: z.strictObject({ staffId: Slug, name: z.string(), pin: z.string(), code: z.string() }).nullable(),
})
export type RestoredKitchen = z.infer<typeof RestoredKitchen>

/** Whether the sample kitchen is in the same database as this one. */
export const SampleKitchen = z.strictObject({ isBeside: z.boolean() })
export type SampleKitchen = z.infer<typeof SampleKitchen>
