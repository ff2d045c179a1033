import { usePathname } from 'expo-router'
import { useState } from 'react'
import { useKitchen } from '../setup/useKitchen'

/** Whether the kitchen has nobody yet, and until whoever began it goes on from the code on paper. */
export function useIsNobodyHere(isIn: boolean): boolean {
  const isEmpty = useKitchen(isIn).data?.staff.length === 0
  const path = usePathname()
  const [wasEmpty, setWasEmpty] = useState(false)
  if (isEmpty && isIn && !wasEmpty) setWasEmpty(true)
  if (wasEmpty && !isEmpty && path === '/setup/first') setWasEmpty(false)
  return wasEmpty && path !== '/pair'
}
