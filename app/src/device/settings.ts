import { useSyncExternalStore } from 'react'
import { z } from 'zod'
import { keep, onKeptElsewhere, readKept } from './storage'

/** What this device remembers of its user; nothing of it is the kitchen's. */
const Settings = z.object({
  theme: z.enum(['auto', 'steel', 'paper']).catch('auto'),
  handsFree: z.boolean().catch(true),
  sound: z.boolean().catch(true),
  vibration: z.boolean().catch(true),
  speech: z.boolean().catch(false),
  words: z.enum(['en', 'pseudo']).catch('en'),
})
type Settings = z.infer<typeof Settings>

const KEY = 'okazu.settings'
const listeners = new Set<() => void>()
let settings = read()

function read(): Settings {
  let kept: unknown = {}
  try {
    kept = JSON.parse(readKept(KEY) ?? '{}')
  } catch {
    kept = {}
  }
  return Settings.parse(kept ?? {})
}

onKeptElsewhere(KEY, () => {
  settings = read()
  listeners.forEach((listener) => listener())
})

export function currentSettings(): Settings {
  return settings
}

export function changeSettings(changes: Partial<Settings>): void {
  settings = { ...settings, ...changes }
  keep(KEY, JSON.stringify(settings))
  listeners.forEach((listener) => listener())
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export function useSettings(): Settings {
  return useSyncExternalStore(subscribe, currentSettings)
}
