import { useEffect, useEffectEvent } from 'react'

/** Space, Enter or a foot pedal that types one of them is Done, unless a control is in hand. */
export function usePedal(onPedal: () => void): void {
  const pressed = useEffectEvent(onPedal)
  useEffect(() => {
    const heard = (event: KeyboardEvent) => {
      const isPedal = event.key === ' ' || event.key === 'Enter'
      const target = event.target instanceof HTMLElement ? event.target : null
      if (
        !isPedal ||
        event.repeat ||
        target?.closest('button, a, input, [role=button], [role=radio], [role=checkbox], [role=dialog]')
      )
        return
      event.preventDefault()
      pressed()
    }
    // A control touched by a finger must not take the pedal's next key.
    const letGo = () => {
      if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
    }
    window.addEventListener('keydown', heard)
    window.addEventListener('pointerup', letGo)
    return () => {
      window.removeEventListener('keydown', heard)
      window.removeEventListener('pointerup', letGo)
    }
  }, [])
}
