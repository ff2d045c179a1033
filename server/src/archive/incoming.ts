import { mkdir, open, rm, stat } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { codeOf } from '../db/pool'
import { Problem } from '../http/problems'

/** Where an archive grows part by part before it is read. */
export const incomingPath = (dataFolder: string | null, kitchenId: string): string =>
  join(dataFolder ?? tmpdir(), 'incoming', `${kitchenId}.zip`)

/** How many bytes have arrived. */
export const arrived = (path: string): Promise<number> =>
  stat(path).then(
    ({ size }) => size,
    () => 0,
  )

/**
 * Writes a part at its place; the same part twice is one. From 0 on a new archive begins.
 * @throws {Problem} archive-gap where the parts before it are missing, no-room where the disk is full
 */
export async function writePart(path: string, at: number, part: Uint8Array): Promise<number> {
  const bytes = await arrived(path)
  if (at > bytes)
    throw new Problem('archive-gap', { detail: `send the part that begins at byte ${bytes} first`, values: { bytes } })
  await mkdir(join(path, '..'), { recursive: true, mode: 0o700 })
  const file = await open(path, bytes === 0 ? 'w+' : 'r+', 0o600)
  try {
    await file.truncate(at)
    await file.write(part, 0, part.length, at)
    return at + part.length
  } catch (error) {
    if (codeOf(error) === 'ENOSPC')
      throw new Problem('no-room', { detail: 'the disk of this machine is full: make room and send it again' })
    throw error
  } finally {
    await file.close()
  }
}

export const forget = (path: string): Promise<void> => rm(path, { force: true })
