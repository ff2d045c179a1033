import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { RicePlanDay, Tonight, type RicePlanEdits } from 'contract/riceHouse'
import { getJson, sendJson } from '../device/http'

/** What the record expects of a day, with what people know better. */
export const useRicePlan = (day: string | null) =>
  useQuery({
    queryKey: ['rice', 'plan', day],
    enabled: day !== null,
    queryFn: ({ signal }) => getJson(`/rice/plan/${day}`, RicePlanDay, signal),
  })

/** Changes a plan; where somebody else did meanwhile, theirs is shown and the person is told. */
export function useEditPlan() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ day, version, edits }: { day: string; version: number; edits: RicePlanEdits }) =>
      sendJson('PUT', `/rice/plan/${day}`, { version, edits }, RicePlanDay),
    onSuccess: (plan) => queries.setQueryData(['rice', 'plan', plan.day], plan),
    onError: () => void queries.invalidateQueries({ queryKey: ['rice', 'plan'] }),
  })
}

const TONIGHT_MS = 60_000

export const useTonight = () =>
  useQuery({
    queryKey: ['rice', 'tonight'],
    refetchInterval: TONIGHT_MS,
    queryFn: ({ signal }) => getJson('/rice/tonight', Tonight, signal),
  })
