/** Small things this device keeps: written before anything is sent, so that a reload in the same second loses nothing. */
export function readKept(key: string): string | null {
  try {
    return localStorage.getItem(key)
  } catch {
    return null
  }
}

/** False where the device keeps nothing (private window, full disk). */
export function keep(key: string, value: string): boolean {
  try {
    localStorage.setItem(key, value)
    return true
  } catch {
    return false
  }
}

export function forget(key: string): void {
  try {
    localStorage.removeItem(key)
  } catch {
    // A device that keeps nothing has nothing to forget.
  }
}

/** Keys kept under a prefix, sorted. */
export function keptKeys(prefix: string): string[] {
  try {
    return Object.keys(localStorage)
      .filter((key) => key.startsWith(prefix))
      .sort()
  } catch {
    return []
  }
}

/** Calls back when another tab of this device wrote a key that begins like this. */
export function onKeptElsewhere(prefix: string, listener: () => void): () => void {
  const heard = (event: StorageEvent) => {
    if (event.key === null || event.key.startsWith(prefix)) listener()
  }
  window.addEventListener('storage', heard)
  return () => window.removeEventListener('storage', heard)
}
