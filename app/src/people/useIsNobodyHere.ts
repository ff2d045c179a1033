import { usePathname } from 'expo-router'
import { useKitchen } from '../setup/useKitchen'

/** Whether the kitchen has nobody yet, so that whoever opens it says who answers for it. */
export function useIsNobodyHere(isIn: boolean): boolean {
  const isEmpty = useKitchen(isIn).data?.staff.length === 0
  const path = usePathname()
  return isEmpty && isIn && path !== '/pair'
}
