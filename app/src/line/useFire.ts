import { useQueryClient } from '@tanstack/react-query'
import { FireRun, Run } from 'contract/run'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { kitchenNowMs } from '../device/clock'
import { NoAnswer, Refused, sendJson } from '../device/http'
import { deviceId, newId } from '../device/ids'
import { post, untilSent } from '../device/outbox'
import { currentPersonId } from '../people/me'
import { useSettings } from '../device/settings'
import type { ShownBatch } from './useLinePlan'

/** So long a wash on its way is waited for: a slow network has answered by then, and food does not wait longer. */
const WASH_SENT_MS = 4000

/**
 * Fires a batch and opens its run. Without an answer from the kitchen the run starts all the same, under the same id:
 * it is kept here and sent when the network is back.
 */
export function useFire() {
  const router = useRouter()
  const queries = useQueryClient()
  const { handsFree } = useSettings()
  const [isFiring, setIsFiring] = useState(false)
  const [error, setError] = useState<Error | null>(null)
  const fire = async (batch: ShownBatch) => {
    if (isFiring || batch.score === null) return
    setIsFiring(true)
    setError(null)
    // A wash that was said a moment ago is on its way: the batch must not arrive before it.
    await untilSent(batch.station.id, WASH_SENT_MS)
    const body = FireRun.parse({
      id: newId(),
      dishId: batch.dish.id,
      dishVersion: batch.dish.version,
      stationId: batch.station.id,
      cookId: currentPersonId(),
      modifiers: batch.modifiers,
      allergies: batch.allergies,
      parts: batch.parts,
      firedAtMs: Math.round(kitchenNowMs()),
      promisedAtMs: Math.round(batch.promisedAtMs),
      handsFree,
      deviceId: deviceId(),
      isUnconfirmed: false,
      score: batch.score,
    })
    try {
      const run = await sendJson('POST', '/runs', body, Run)
      queries.setQueryData(['runs', 'one', run.id], run)
      router.push(`/wok/${run.id}`)
    } catch (failure) {
      if (failure instanceof NoAnswer) {
        post({ kind: 'run', subjectId: body.id, path: '/runs', body: { ...body, isUnconfirmed: true } })
        router.push(`/wok/${body.id}`)
      } else if (failure instanceof Refused) {
        setError(failure)
        void queries.invalidateQueries()
      } else throw failure
    } finally {
      setIsFiring(false)
    }
  }
  return { fire, isFiring, error, clearError: () => setError(null) }
}
