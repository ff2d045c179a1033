import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Me } from 'contract/people'
import { useEffect } from 'react'
import { getJson, NotLetIn, onNotLetIn, sendJson } from '../device/http'
import { currentMe, noteMe, useMe } from './me'

const ME = ['people', 'me']

/** Whether the kitchen lets this device in: null until it has said so for the first time. */
export function useDoor(): boolean | null {
  const queries = useQueryClient()
  const me = useMe()
  const { error } = useQuery({
    queryKey: ME,
    queryFn: async ({ signal }) => {
      const now = await getJson('/me', Me, signal)
      noteMe(now)
      return now
    },
    retry: (count, failure) => !(failure instanceof NotLetIn) && count < 2,
  })
  useEffect(() => onNotLetIn(() => void queries.invalidateQueries({ queryKey: ME })), [queries])
  const isOut = error instanceof NotLetIn
  useEffect(() => {
    if (isOut) noteMe(null)
  }, [isOut])
  return isOut ? false : me ? true : null
}

/** What one does at the door: let the device in, sign in, sign out. Afterwards everything is asked again. */
function useAtDoor<Body>(path: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (body: Body) => sendJson('POST', path, body, Me),
    onSuccess: (now) => {
      // What was seen of another kitchen is not this one's.
      const before = currentMe()
      if (before && before.kitchen.id !== now.kitchen.id) queries.clear()
      noteMe(now)
      queries.setQueryData(ME, now)
      void queries.invalidateQueries()
    },
  })
}

export const usePair = () => useAtDoor<{ code: string; name: string; place: string }>('/me/pair')
export const useSignIn = () => useAtDoor<{ staffId: string; pin: string | null }>('/me/sign-in')
export const useSignOut = () => useAtDoor<undefined>('/me/sign-out')
