import { useEffect, useRef } from 'react'

const TYPING_MS = 1500
const MAX_LETTERS = 7

/** Digits typed in a row make one number. Answers whether the key was one of them. */
export function useTyped(set: (value: number) => void): (key: string) => boolean {
  const text = useRef('')
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null)
  const clear = () => {
    if (timer.current) clearTimeout(timer.current)
    timer.current = null
  }
  useEffect(() => clear, [])
  return (key) => {
    if (!/^[0-9.-]$/.test(key)) return false
    clear()
    text.current = (text.current + key).slice(-MAX_LETTERS)
    timer.current = setTimeout(() => (text.current = ''), TYPING_MS)
    const value = Number(text.current)
    if (text.current !== '-' && Number.isFinite(value)) set(value)
    return true
  }
}
