import { useQuery } from '@tanstack/react-query'
import type { Dish } from 'contract/dish'
import { FireRun, Run, RunEvents, RunList, type RunEvent } from 'contract/run'
import { useMemo } from 'react'
import { getJson } from '../device/http'
import { deviceId, newId, stampNow } from '../device/ids'
import { post, useOutbox, type Parcel } from '../device/outbox'
import { useDishes } from '../book/useDishes'

/** Runs at a station now: the kitchen's, with what this device fired or said and has not sent yet. */
export function useOpenRuns() {
  const query = useQuery({ queryKey: ['runs', 'open'], queryFn: ({ signal }) => getJson('/runs', RunList, signal) })
  const local = useLocalRuns()
  const parcels = useOutbox()
  const runs = useMemo(() => {
    const known = query.data?.runs ?? []
    const unsent = local.filter((run) => !known.some((one) => one.id === run.id))
    return [...known, ...unsent].map((run) => withUnsent(run, parcels))
  }, [query.data, local, parcels])
  return { ...query, runs }
}

/** One run, open or over. */
export function useRun(id: string) {
  const query = useQuery({
    queryKey: ['runs', 'one', id],
    queryFn: ({ signal }) => getJson(`/runs/${id}`, Run, signal),
  })
  const local = useLocalRuns()
  const parcels = useOutbox()
  const run = useMemo(() => {
    const found = query.data ?? local.find((one) => one.id === id)
    return found && withUnsent(found, parcels)
  }, [query.data, local, parcels, id])
  return { ...query, run }
}

/** Runs fired here that the kitchen does not know yet, with the score that they were fired with. */
function useLocalRuns(): Run[] {
  const parcels = useOutbox()
  const dishes = useDishes().data?.dishes
  return useMemo(() => {
    const fired = parcels.filter((parcel) => parcel.kind === 'run' && parcel.refusal === null)
    return fired.flatMap((parcel) => {
      const fire = FireRun.safeParse(parcel.body)
      return (fire.success && localRun(fire.data, dishes ?? [])) || []
    })
  }, [parcels, dishes])
}

/** A run as it was fired here; null where the parcel is from a page that sent no score. */
export function localRun(fire: FireRun, dishes: readonly Dish[]): Run | null {
  if (!fire.score) return null
  const dish = dishes.find((one) => one.id === fire.dishId)
  const { deviceId: _deviceId, ...rest } = fire
  const run = {
    ...rest,
    dishName: dish?.name ?? fire.dishId,
    lots: [],
    score: fire.score,
    state: 'open',
    endedAtMs: null,
    twicePortions: 0,
    events: [],
  }
  return Run.parse(run)
}

export function withUnsent(run: Run, parcels: readonly Parcel[]): Run {
  const said = parcels.filter(
    (parcel) => parcel.kind === 'runEvents' && parcel.subjectId === run.id && parcel.refusal === null,
  )
  if (said.length === 0) return run
  return {
    ...run,
    events: [...run.events, ...said.flatMap((parcel) => RunEvents.safeParse(parcel.body).data?.events ?? [])],
  }
}

type WithoutHead<T> = T extends unknown ? Omit<T, 'id' | 'runId' | 'deviceId' | 'atMs' | 'counter'> : never
export type SaidOfRun = WithoutHead<RunEvent>

/** Says something of a run: kept here first, then sent. Returns the event's id, so that it can be taken back. */
export function sayOfRun(runId: string, said: SaidOfRun): string {
  const id = newId()
  const event = { id, runId, deviceId: deviceId(), ...stampNow(), ...said }
  post({ kind: 'runEvents', subjectId: runId, path: `/runs/${runId}/events`, body: { events: [event] } })
  return id
}
