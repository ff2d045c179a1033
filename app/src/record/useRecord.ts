import { useInfiniteQuery } from '@tanstack/react-query'
import { RunPage, type RunFilter } from 'contract/run'
import { getJson } from '../device/http'

/** Past runs that a filter lets through, newest first, a page at a time. */
export const useRecord = (filter: RunFilter = {}) =>
  useInfiniteQuery({
    queryKey: ['runs', 'past', filter],
    queryFn: ({ pageParam, signal }) => {
      const query = new URLSearchParams(
        Object.entries(filter).filter((pair): pair is [string, string] => pair[1] !== undefined),
      )
      if (pageParam) query.set('before', pageParam)
      const text = query.toString()
      return getJson(`/record/runs${text ? `?${text}` : ''}`, RunPage, signal)
    },
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
  })
