import { useEffect, useId, useSyncExternalStore } from 'react'
import { View } from 'react-native'
import { useWords } from '../../words/i18n'
import { Button } from '../Button'
import { Sheet } from '../Sheet'

const unsaved = new Set<string>()
let asked: (() => void) | null = null
const listeners = new Set<() => void>()

const ask = (go: (() => void) | null) => {
  asked = go
  listeners.forEach((listener) => listener())
}

/** Goes at once, or asks first where something typed would be lost. */
export function leave(go: () => void): void {
  if (unsaved.size === 0) go()
  else ask(go)
}

/** While true, leaving the screen, closing the sheet or the tab asks first. */
export function useUnsaved(isUnsaved: boolean): void {
  const id = useId()
  useEffect(() => {
    if (!isUnsaved) return
    const warn = (event: BeforeUnloadEvent) => event.preventDefault()
    unsaved.add(id)
    window.addEventListener('beforeunload', warn)
    return () => {
      unsaved.delete(id)
      window.removeEventListener('beforeunload', warn)
    }
  }, [id, isUnsaved])
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

/** The question whether to leave; it stands once in the frame. */
export function LeaveSheet() {
  const t = useWords('ui')
  const go = useSyncExternalStore(subscribe, () => asked)
  const stay = () => ask(null)
  return (
    <Sheet title={t('unsaved.title')} isOpen={go !== null} onClose={stay}>
      <View className="gap-2">
        <Button isTall kind="main" label={t('unsaved.stay')} onPress={stay} />
        <Button
          isTall
          label={t('unsaved.leave')}
          onPress={() => {
            unsaved.clear()
            ask(null)
            go?.()
          }}
        />
      </View>
    </Sheet>
  )
}
