import { useQuery } from '@tanstack/react-query'
import { Kitchen } from 'contract/kitchen'
import type { Instrument } from 'core/house/instruments'
import { getJson } from '../device/http'

export const useKitchen = (enabled = true) =>
  useQuery({ queryKey: ['kitchen'], queryFn: ({ signal }) => getJson('/kitchen', Kitchen, signal), enabled })

/** Whether the kitchen has this instrument; until it answers, none. */
export const useHas = (instrument: Instrument) => useKitchen().data?.instruments.includes(instrument) ?? false

/** The unit that this kitchen's thermometers read in. */
export const useReadsIn = () => useKitchen().data?.readsIn ?? 'C'
