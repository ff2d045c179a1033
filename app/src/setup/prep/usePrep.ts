import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { CardList } from 'contract/mise/cards'
import { MiseHouse, type MisePolicy } from 'contract/mise/house'
import { getJson, Refused, sendJson } from '../../device/http'
import { useMiseHouse } from '../../mise/useMise'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'

export const useCards = () =>
  useQuery({ queryKey: ['mise', 'cards'], queryFn: ({ signal }) => getJson('/mise/cards', CardList, signal) })

/**
 * Keeps a change of how the mise is done: what it was before comes back with one tap, unless somebody else has changed it
 * since.
 */
export function useKeepPrep() {
  const t = useWords('setup')
  const house = useMiseHouse()
  const queries = useQueryClient()
  const save = useMutation({
    mutationFn: (body: { version: number; policy: MisePolicy }) => sendJson('PUT', '/mise/house', body, MiseHouse),
    onSuccess: (saved) => queries.setQueryData(['mise', 'house'], saved),
    onSettled: () => void queries.invalidateQueries({ queryKey: ['mise'] }),
  })
  const keep = (change: (policy: MisePolicy) => MisePolicy, said: string, onDone: () => void) => {
    if (!house.data || save.isPending) return
    const { version, policy: before } = house.data
    save.mutate(
      { version, policy: change(before) },
      {
        onSuccess: (saved) => {
          onDone()
          const undo = () =>
            save.mutate(
              { version: saved.version, policy: before },
              {
                onSuccess: () => toast(t('prep.undone')),
                onError: (error) => toast(t(error instanceof Refused ? 'prep.meanwhile' : 'prep.noAnswer')),
              },
            )
          toast(said, undo)
        },
      },
    )
  }
  return { keep, error: save.error, isPending: save.isPending }
}
