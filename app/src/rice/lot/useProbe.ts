import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { ProbeNow, type Probe } from 'contract/rice'
import { getJson, sendJson } from '../../device/http'

const KEY = ['rice', 'probe']

/** The probe that ships with the kitchen: where it stands and how it is made to fail. */
export const useProbe = () => useQuery({ queryKey: KEY, queryFn: ({ signal }) => getJson('/probe', ProbeNow, signal) })

export function useSetProbe() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (probe: Probe) => sendJson('PUT', '/probe', probe, ProbeNow),
    onSuccess: (probe) => queries.setQueryData(KEY, probe),
  })
}
