import { useQuery } from '@tanstack/react-query'
import { Kitchen } from 'contract/kitchen'
import { getJson } from '../device/http'

export const useKitchen = (enabled = true) =>
  useQuery({ queryKey: ['kitchen'], queryFn: ({ signal }) => getJson('/kitchen', Kitchen, signal), enabled })

/** The unit that this kitchen's thermometers read in. */
export const useReadsIn = () => useKitchen().data?.readsIn ?? 'C'
