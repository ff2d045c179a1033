import { useEffect, useSyncExternalStore } from 'react'
import { Pressable, View } from 'react-native'
import { useWords } from '../words/i18n'
import { Text } from './Text'

type ToastMessage = { text: string; onUndo?: (() => void) | undefined }
const SHOWN_MS = 6000
let shown: ToastMessage | null = null
const listeners = new Set<() => void>()

function show(message: ToastMessage | null): void {
  shown = message
  listeners.forEach((listener) => listener())
}

/** Says what just happened, with the way back where there is one. */
export function toast(text: string, onUndo?: () => void): void {
  show({ text, onUndo })
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** Where toasts appear: above the bar at the bottom, read out politely. */
export function ToastPlace() {
  const t = useWords('ui')
  const message = useSyncExternalStore(subscribe, () => shown)
  useEffect(() => {
    if (!message) return
    const timer = setTimeout(() => show(null), SHOWN_MS)
    return () => clearTimeout(timer)
  }, [message])
  return (
    <View aria-live="polite" className="pointer-events-box-none absolute bottom-36 left-3 right-3 items-center">
      {message && (
        <View className="min-h-14 w-full max-w-xl flex-row items-center justify-between gap-2 rounded-lg border border-line bg-plate px-4">
          <Text weight="semi" stretch="slim" className="flex-1">
            {message.text}
          </Text>
          {message.onUndo && (
            <Pressable
              role="button"
              aria-label={t('undo')}
              className="ring-focus min-h-14 min-w-14 items-center justify-center px-2"
              onPress={() => {
                message.onUndo?.()
                show(null)
              }}
            >
              <Text weight="bold">{t('undo')}</Text>
            </Pressable>
          )}
        </View>
      )}
    </View>
  )
}
