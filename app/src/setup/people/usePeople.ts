import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import {
  AsideList,
  AuditPage,
  DeviceList,
  Pairing,
  PersonList,
  Recovery,
  type Aside,
  type PersonDraft,
} from 'contract/people'
import { z } from 'zod'
import { getJson, sendJson } from '../../device/http'
import { useMay } from '../../people/me'

/** Everybody who works here; asked only where an owner is signed in. */
export const usePeople = () =>
  useQuery({
    queryKey: ['people', 'all'],
    queryFn: ({ signal }) => getJson('/people', PersonList, signal),
    enabled: useMay('people'),
  })

export const useDevices = () =>
  useQuery({
    queryKey: ['people', 'devices'],
    queryFn: ({ signal }) => getJson('/paired-devices', DeviceList, signal),
    enabled: useMay('people'),
  })

/** What waits for a lead; asked only where one is signed in. */
export const useAside = () =>
  useQuery({
    queryKey: ['people', 'aside'],
    queryFn: ({ signal }) => getJson('/kept-aside', AsideList, signal),
    enabled: useMay('decide'),
  })

export const useChanges = () =>
  useInfiniteQuery({
    queryKey: ['people', 'audit'],
    queryFn: ({ signal, pageParam }) =>
      getJson(`/audit${pageParam === '' ? '' : `?before=${pageParam}`}`, AuditPage, signal),
    initialPageParam: '',
    getNextPageParam: (page) => page.next ?? undefined,
    enabled: useMay('people'),
  })

/** A change of people or devices; the list that comes back is shown. */
function useChange<Body, Shape extends z.ZodType>(
  list: string,
  shape: Shape,
  send: (body: Body) => Promise<z.infer<Shape>>,
) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: send,
    onSuccess: (now) => {
      queries.setQueryData(['people', list], now)
      void queries.invalidateQueries({ queryKey: ['people'] })
      void queries.invalidateQueries({ queryKey: ['kitchen'] })
    },
  })
}

export const useAddPerson = () =>
  useChange('all', PersonList, (draft: PersonDraft) => sendJson('POST', '/people', draft, PersonList))
export const useChangePerson = () =>
  useChange('all', PersonList, ({ id, ...edit }: PersonDraft & { id: string; was: PersonDraft }) =>
    sendJson('PUT', `/people/${id}`, edit, PersonList),
  )
export const useRemovePerson = () =>
  useChange('all', PersonList, (id: string) => sendJson('DELETE', `/people/${id}`, undefined, PersonList))
export const useSetPin = () =>
  useChange('all', PersonList, ({ id, pin }: { id: string; pin: string }) =>
    sendJson('PUT', `/people/${id}/pin`, { pin }, PersonList),
  )
export const useShutOut = () =>
  useChange('devices', DeviceList, (id: string) => sendJson('DELETE', `/paired-devices/${id}`, undefined, DeviceList))
export const useNameDevice = () =>
  useChange('devices', DeviceList, ({ id, ...draft }: { id: string; name: string; place: string }) =>
    sendJson('PUT', `/paired-devices/${id}`, draft, DeviceList),
  )

export const usePairing = () =>
  useMutation({ mutationFn: () => sendJson('POST', '/pairing-codes', undefined, Pairing) })
export const useRecovery = () =>
  useMutation({ mutationFn: () => sendJson('POST', '/recovery-code', undefined, Recovery) })

/** The lead takes what was kept, which says it in the lead's name, or leaves it; either is for good. */
export const useDecideAside = () =>
  useChange('aside', AsideList, async ({ one, isTaken }: { one: Aside; isTaken: boolean }) => {
    if (isTaken) await sendJson('POST', `${one.path}?taken=1`, one.body, z.unknown())
    return sendJson('POST', `/kept-aside/${one.id}`, { isTaken }, AsideList)
  })
