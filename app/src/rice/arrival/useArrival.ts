import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse } from 'contract/riceHouse'
import { celsiusOf, type Temperature } from 'core/measure/temperature'
import type { Grain } from 'core/rice/cookMethod'
import { judgeArrival } from 'core/rice/lot/judgeArrival'
import { useRef, useState } from 'react'
import { kitchenNowMs } from '../../device/clock'
import { newId } from '../../device/ids'
import { beginLot, policyHere } from '../useLots'

const HOUR_MS = 3_600_000
const USUAL_MASS_G = 3000

/** What somebody says of rice that came cooked; null while nobody has answered. */
export type ArrivalAnswers = {
  origin: 'bought' | 'table'
  ageH: number | 'nobodyKnows' | null
  massG: number
  /** As the kitchen's thermometers read. */
  temp: number | null
  grain: Grain
  isReheated: boolean
  placeId: string | null
}

/** The answers so far, what comes of them, and taking the rice in. */
export function useArrival(kitchen: Kitchen, house: RiceHouse) {
  const places = house.places.filter((one) => one.kind === 'fridge' || one.kind === 'freezer')
  const [answers, setAnswers] = useState<ArrivalAnswers>({
    origin: 'bought',
    ageH: null,
    massG: USUAL_MASS_G,
    temp: null,
    grain: 'long',
    isReheated: false,
    placeId: places[0]?.id ?? null,
  })
  const { ageH, temp, placeId, ...said } = answers
  const read = temp === null ? null : reading(temp, kitchen)
  const nowMs = kitchenNowMs()
  const cookedAtMs = typeof ageH === 'number' ? Math.round(nowMs - ageH * HOUR_MS) : ageH
  const verdict = judgeArrival(
    { arrivedAtMs: nowMs, cookedAtMs, isReheated: said.isReheated, read },
    kitchen.ruleSet,
    policyHere(kitchen, house),
    nowMs,
  )
  const place = places.find((one) => one.id === placeId)
  /** A double tap takes the rice in once; the screen is left after it. */
  const isTaken = useRef(false)
  const takeIn = (): string | null => {
    if (read === null || typeof cookedAtMs !== 'number' || (verdict.kind !== 'cold' && verdict.kind !== 'hot'))
      return null
    if (isTaken.current) return null
    isTaken.current = true
    const id = newId()
    beginLot({
      ...said,
      ...read,
      id,
      atMs: Math.round(kitchenNowMs()),
      cookedAtMs,
      place: place?.kind ?? 'fridge',
      placeId: place?.id ?? null,
    })
    return id
  }
  const answer = (part: Partial<ArrivalAnswers>) => setAnswers((before) => ({ ...before, ...part }))
  return { ...answers, places, read, verdict, answer, takeIn }
}

const reading = (temp: number, { readsIn }: Kitchen): Temperature =>
  readsIn === 'F' ? { tempC: celsiusOf(temp), tempF: temp } : { tempC: temp, tempF: null }
