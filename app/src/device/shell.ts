/** Keeps the application's own files on the device, so that it opens without a network. */
export function registerShell(): void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return
  window.addEventListener('load', () => void navigator.serviceWorker.register('/sw.js'))
}
