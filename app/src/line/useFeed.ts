import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Feed } from 'contract/kitchen'
import { getJson, sendJson } from '../device/http'

/** The simulated ticket feed: how it stands, and its switch. */
export function useFeed() {
  const queries = useQueryClient()
  const feed = useQuery({ queryKey: ['feed'], queryFn: ({ signal }) => getJson('/feed', Feed, signal) })
  const change = useMutation({
    mutationFn: (wanted: Feed) => sendJson('PUT', '/feed', wanted, Feed),
    onSuccess: (saved) => queries.setQueryData(['feed'], saved),
  })
  return { feed: feed.data ?? null, change: change.mutate, error: change.error }
}
