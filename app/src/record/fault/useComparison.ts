import { useQuery } from '@tanstack/react-query'
import { RunComparison } from 'contract/faults'
import { getJson } from '../../device/http'

/** A run beside runs of its dish that went well. */
export const useComparison = (runId: string) =>
  useQuery({
    queryKey: ['record', 'comparison', runId],
    queryFn: ({ signal }) => getJson(`/runs/${runId}/comparison`, RunComparison, signal),
  })
