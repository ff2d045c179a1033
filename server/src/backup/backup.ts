import { keptBackups } from 'core/backup/keptBackups'
import { readdir, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { copyData } from '../db/copyData'
import type { DatabaseAddress } from '../db/pool'

const HOUR_MS = 3_600_000
const NAME = /^okazu-(\d{4}-\d{2}-\d{2})T(\d{2})(\d{2})(\d{2})Z\.sql\.gz$/

const nameAt = (ms: number) => `okazu-${new Date(ms).toISOString().slice(0, 19).replaceAll(':', '')}Z`

/** When a backup was made, by its name; null for any other file: copies that somebody named are never let go. */
export function madeAtMs(name: string): number | null {
  const [, day, h, min, s] = NAME.exec(name) ?? []
  const ms = Date.parse(`${day}T${h}:${min}:${s}Z`)
  return Number.isNaN(ms) ? null : ms
}

/** Copies the data into a folder and lets go of the copies that are not kept any more; the path of the new one. */
export async function backUp(address: DatabaseAddress, folder: string, nowMs: number): Promise<string> {
  const path = await copyData(address, folder, nameAt(nowMs))
  const all = (await readdir(folder)).flatMap((name) => {
    const ms = madeAtMs(name)
    return ms === null ? [] : [{ name, ms }]
  })
  const kept = keptBackups(
    all.map(({ ms }) => ms),
    nowMs,
  )
  for (const { name, ms } of all) if (!kept.includes(ms)) await rm(join(folder, name), { force: true })
  return path
}

/** Backs up where the last hour has no backup; 1 if it did. */
export async function backUpHourly(address: DatabaseAddress, folder: string, nowMs: number): Promise<number> {
  const names = await readdir(folder).catch(() => [])
  const isRecent = names.some((name) => {
    const ms = madeAtMs(name)
    return ms !== null && ms <= nowMs && nowMs - ms < HOUR_MS
  })
  if (isRecent) return 0
  await backUp(address, folder, nowMs)
  return 1
}
