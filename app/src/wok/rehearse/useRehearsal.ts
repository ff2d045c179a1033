import type { Dish } from 'contract/dish'
import type { Station } from 'contract/kitchen'
import { EventId, ItemId, RunId, TicketId } from 'contract/ids'
import type { Run } from 'contract/run'
import type { Score } from 'core/wok/score'
import { useState } from 'react'
import { kitchenNowMs } from '../../device/clock'
import { deviceId, newId, stampNow } from '../../device/ids'
import type { SaidOfRun } from '../useRuns'

export type Rehearsal = {
  run: Run | null
  begin: (dish: Dish, station: Station, portions: number, score: Score, handsFree: boolean) => void
  say: (runId: string, said: SaidOfRun) => string
  end: () => void
}

/** A run that only this page knows: led like any other, never sent, never kept. */
export function useRehearsal(): Rehearsal {
  const [run, setRun] = useState<Run | null>(null)
  const begin: Rehearsal['begin'] = (dish, station, portions, score, handsFree) => {
    const firedAtMs = Math.round(kitchenNowMs())
    setRun({
      id: RunId.parse(newId()),
      dishId: dish.id,
      dishVersion: dish.version,
      dishName: dish.name,
      stationId: station.id,
      cookId: null,
      modifiers: [],
      allergies: [],
      parts: [
        {
          itemId: ItemId.parse(newId()),
          ticketId: TicketId.parse(newId()),
          ticketNumber: 0,
          portions,
          modifiers: [],
        },
      ],
      firedAtMs,
      promisedAtMs: firedAtMs + Math.round(score.totalS * 1000),
      handsFree,
      isUnconfirmed: false,
      lots: [],
      score: score as Run['score'],
      state: 'open',
      endedAtMs: null,
      twicePortions: 0,
      events: [],
    })
  }
  const say: Rehearsal['say'] = (runId, said) => {
    const id = EventId.parse(newId())
    const event = { id, runId: RunId.parse(runId), deviceId: deviceId(), ...stampNow(), ...said }
    setRun((before) => before && { ...before, events: [...before.events, event] })
    return id
  }
  return { run, begin, say, end: () => setRun(null) }
}
