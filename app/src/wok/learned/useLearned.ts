import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { LearnedState, type LearnedKind, type PostLearned } from 'contract/learned'
import { getJson, sendJson } from '../../device/http'

/** What runs say of the seconds of a station or a dish, and the words that change it. */
export function useLearned(kind: LearnedKind, id: string) {
  const client = useQueryClient()
  const path = `/learned/${kind}/${id}`
  const queryKey = ['kitchen', 'learned', kind, id]
  const query = useQuery({ queryKey, queryFn: ({ signal }) => getJson(path, LearnedState, signal) })
  const change = useMutation({
    mutationFn: (does: PostLearned['does']) => sendJson('POST', path, { does }, LearnedState),
    onSuccess: (state) => {
      client.setQueryData(queryKey, state)
      void client.invalidateQueries({ queryKey: ['kitchen'], exact: true })
    },
  })
  return { learned: query.data, change }
}
