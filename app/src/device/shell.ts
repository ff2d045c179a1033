/** Keeps the application's own files on the device, so that it opens without a network. */
export function registerShell(): void {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return
  const register = () => void navigator.serviceWorker.register('/sw.js')
  if (document.readyState === 'complete') register()
  else window.addEventListener('load', register, { once: true })
}
