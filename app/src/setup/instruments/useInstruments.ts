import { useMutation, useQueryClient } from '@tanstack/react-query'
import { LabelPrinted, ScaleWeight } from 'contract/devices'
import { Kitchen } from 'contract/kitchen'
import type { Instrument } from 'core/house/instruments'
import { getJson, sendJson } from '../../device/http'

/** Says that the kitchen has an instrument, or has none. */
export function useSetInstrument() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ instrument, has }: { instrument: Instrument; has: boolean }) =>
      sendJson('PUT', `/kitchen/instruments/${instrument}`, { has }, Kitchen),
    onSuccess: (kitchen) => {
      queries.setQueryData(['kitchen'], kitchen)
      for (const queryKey of [['kitchen'], ['feed'], ['rice', 'probe']]) void queries.invalidateQueries({ queryKey })
    },
  })
}

/** Weighs with nothing on the scale. */
export const useEmptyScale = () => useMutation({ mutationFn: () => getJson('/scale', ScaleWeight) })
/** Prints a label that says that it is a trial. */
export const useTrialLabel = () =>
  useMutation({ mutationFn: () => sendJson('POST', '/printer/try', undefined, LabelPrinted) })
