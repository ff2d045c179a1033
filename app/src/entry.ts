/* oxlint-disable typescript/no-require-imports -- an import would evaluate it at once, or make a file of its own */
import { startTransition } from 'react'

/**
 * The start of the app, in parts: each library is evaluated in a task of its own, so that none of them holds a slow
 * phone's screen. Without it one task evaluates them all. The first drawing is a transition, which stops for whatever is
 * touched; the words of time zones, which take long the first time, are read while nobody waits for them.
 */
const parts: readonly (() => unknown)[] = [
  () => new Intl.DateTimeFormat('en-US', { timeZone: 'UTC', timeZoneName: 'longOffset' }).format(0),
  () => require('react-dom/client') as unknown,
  () => require('react-native-web') as unknown,
  () => require('expo-router') as unknown,
  () => startTransition(() => void require('./drawApp')),
]

function startFrom(index: number): void {
  parts[index]?.()
  if (index + 1 < parts.length) setTimeout(() => startFrom(index + 1), 0)
}

startFrom(0)
