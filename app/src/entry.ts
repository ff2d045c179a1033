/* eslint-disable @typescript-eslint/no-require-imports -- an import would evaluate it at once, or make a file of its own */
/**
 * The start of the app, in parts: each library is evaluated in a task of its own, so that none of them holds a slow
 * phone's screen. Without it one task evaluates them all.
 */
const parts: readonly (() => unknown)[] = [
  () => require('react-dom/client') as unknown,
  () => require('react-native-web') as unknown,
  () => require('expo-router') as unknown,
  () => require('expo-router/entry') as unknown,
]

function startFrom(index: number): void {
  parts[index]?.()
  if (index + 1 < parts.length) setTimeout(() => startFrom(index + 1), 0)
}

startFrom(0)
