import { useInfiniteQuery } from '@tanstack/react-query'
import { LotPage } from 'contract/rice'
import { getJson } from '../device/http'

/** Lots that are over, newest first, a page at a time. */
export const usePastLots = () =>
  useInfiniteQuery({
    queryKey: ['rice', 'past'],
    queryFn: ({ pageParam, signal }) =>
      getJson(`/rice/lots/past${pageParam ? `?before=${pageParam}` : ''}`, LotPage, signal),
    initialPageParam: '',
    getNextPageParam: (page) => page.next,
  })
