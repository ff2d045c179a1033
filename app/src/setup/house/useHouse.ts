import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { SampleKitchen } from 'contract/archive'
import { DishList } from 'contract/dish'
import {
  KitchenMade,
  SketchList,
  type KitchenHead,
  type NewKitchen,
  type PlaceDraft,
  type StationDraft,
  type VesselDraft,
} from 'contract/house'
import { Kitchen } from 'contract/kitchen'
import { RiceHouse } from 'contract/riceHouse'
import { getJson, sendJson } from '../../device/http'

/** What is saved, and what it was when the change began: nobody else's change is written over. */
type Edit<T> = { draft: T; was: T | undefined }

/** A change of the kitchen; what comes back is shown at once. */
function useKitchenChange<Body>(send: (body: Body) => Promise<Kitchen>) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: send,
    onSuccess: (kitchen) => {
      queries.setQueryData(['kitchen'], kitchen)
      void queries.invalidateQueries({ queryKey: ['kitchen'] })
    },
  })
}

export const useSaveHead = () =>
  useKitchenChange((head: KitchenHead) => sendJson('PUT', '/kitchen/head', head, Kitchen))
export const useSaveTools = () =>
  useKitchenChange((tools: Kitchen['tools']) => sendJson('PUT', '/kitchen/tools', tools, Kitchen))
export const useSaveStation = () =>
  useKitchenChange(({ id, draft, was }: Edit<StationDraft> & { id: string | null }) =>
    id === null
      ? sendJson('POST', '/kitchen/stations', draft, Kitchen)
      : sendJson('PUT', `/kitchen/stations/${id}`, { ...draft, was }, Kitchen),
  )
export const useRemoveStation = () =>
  useKitchenChange((id: string) => sendJson('DELETE', `/kitchen/stations/${id}`, undefined, Kitchen))

/** A change of pots and places. */
function useRiceChange<Body>(send: (body: Body) => Promise<RiceHouse>) {
  const queries = useQueryClient()
  return useMutation({ mutationFn: send, onSuccess: () => queries.invalidateQueries({ queryKey: ['rice'] }) })
}
export const useSaveVessel = () =>
  useRiceChange(({ id, draft, was }: Edit<VesselDraft> & { id: string }) =>
    sendJson('PUT', `/rice/vessels/${id}`, { ...draft, was }, RiceHouse),
  )
export const useSavePlace = () =>
  useRiceChange(({ id, draft, was }: Edit<PlaceDraft> & { id: string }) =>
    sendJson('PUT', `/rice/places/${id}`, { ...draft, was }, RiceHouse),
  )
export const useRemoveThing = () => useRiceChange((path: string) => sendJson('DELETE', path, undefined, RiceHouse))

export const useSketches = () =>
  useQuery({ queryKey: ['sketches'], queryFn: ({ signal }) => getJson('/sketches', SketchList, signal) })
export function useTakeSketch() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (dishId: string) => sendJson('POST', '/sketches', { dishId }, DishList),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['book'] }),
  })
}
export const useBeginKitchen = () =>
  useMutation({ mutationFn: (draft: NewKitchen) => sendJson('POST', '/kitchens', draft, KitchenMade) })

export const useSampleKitchen = () =>
  useQuery({
    queryKey: ['sample-kitchen'],
    queryFn: ({ signal }) => getJson('/sample-kitchen', SampleKitchen, signal),
  })
export function useDeleteSample() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: () => sendJson('DELETE', '/sample-kitchen', undefined, SampleKitchen),
    onSuccess: (sample) => queries.setQueryData(['sample-kitchen'], sample),
  })
}
