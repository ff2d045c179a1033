import { useEffect, useState } from 'react'
import { useSettings } from './settings'

type Theme = 'steel' | 'paper'

/** The theme in force: chosen, or by what the device prefers. Written on the document, where the colours hang. */
export function useTheme(): Theme {
  const { theme } = useSettings()
  const [prefersLight, setPrefersLight] = useState(() => window.matchMedia('(prefers-color-scheme: light)').matches)
  useEffect(() => {
    const query = window.matchMedia('(prefers-color-scheme: light)')
    const heard = () => setPrefersLight(query.matches)
    query.addEventListener('change', heard)
    return () => query.removeEventListener('change', heard)
  }, [])
  const inForce = theme === 'auto' ? (prefersLight ? 'paper' : 'steel') : theme
  useEffect(() => {
    document.documentElement.dataset['theme'] = inForce
    document
      .querySelector('meta[name="theme-color"]')
      ?.setAttribute('content', inForce === 'steel' ? '#121517' : '#f6f2e9')
  }, [inForce])
  return inForce
}
