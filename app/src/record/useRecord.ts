import { useInfiniteQuery } from '@tanstack/react-query'
import { RunPage } from 'contract/run'
import { getJson } from '../device/http'

/** Past runs, newest first, a page at a time. */
export const useRecord = () =>
  useInfiniteQuery({
    queryKey: ['runs', 'past'],
    queryFn: ({ pageParam, signal }) =>
      getJson(`/record/runs${pageParam ? `?before=${pageParam}` : ''}`, RunPage, signal),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
  })
