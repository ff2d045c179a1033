import { loadToComeG } from 'core/rice/plan/planDay'
import { MIN_DEPTH_M, MAX_DEPTH_M } from 'core/rice/cooling/coolTray'
import { celsiusOf, type Temperature } from 'core/measure/temperature'
import { inTrays } from 'core/rice/cooling/coolingPlace'
import { spreadOf } from 'core/rice/lot/spread'
import { useState } from 'react'
import { valueOf } from '../../device/worked'
import { useWords } from '../../words/i18n'
import { centimetres } from '../lotWords'
import { sayOfLot } from '../useLots'
import { useMostDepthM } from '../useRiceWork'
import type { LotPage } from './lotPage'

export type SpreadForm = ReturnType<typeof useSpread>

/** What is dialled, what follows from it, and what speaks against it. */
export function useSpread({ shown, kitchen, house }: LotPage) {
  const t = useWords('rice')
  const { lot } = shown
  const { load } = lot
  const { tray, cooling } = house.policy
  const vessel = house.vessels.find((one) => one.id === load?.vesselId)
  const plannedG = load ? Math.round(loadToComeG(load, vessel?.steamGPerMin ?? 0) / 50) * 50 : 3000
  const [massG, setMassG] = useState(plannedG)
  const [temp, setTemp] = useState<number | null>(null)
  const read: Temperature | null =
    temp === null
      ? null
      : kitchen.readsIn === 'F'
        ? { tempC: celsiusOf(temp), tempF: temp }
        : { tempC: temp, tempF: null }
  const [placeId, setPlaceId] = useState<string | null>(null)
  const [isCovered, setIsCovered] = useState(false)
  const [dialledTrays, setTrays] = useState<number | null>(null)
  const first = house.places.find((one) => one.kind === cooling[0]?.place)
  const place = house.places.find((one) => one.id === placeId) ?? first
  const spread = spreadOf({
    massG,
    dryMassG: load?.dryMassG ?? null,
    trayM2: tray.lengthM * tray.widthM,
    trays: dialledTrays,
    place: place ?? null,
    isCovered,
    cooling,
    tempC: read?.tempC ?? null,
  })
  const { trays, depthM } = spread
  const worked = useMostDepthM(inTrays(spread.stages, tray.material), kitchen.ruleSet, spread.modelC)
  const mostM = valueOf(worked)
  return {
    massG,
    setMassG,
    temp,
    setTemp,
    trays,
    setTrays,
    place,
    setPlaceId,
    isCovered,
    setIsCovered,
    depthM,
    mostM,
    plannedG,
    waterFraction: spread.waterFraction,
    isOdd: spread.isWaterOdd,
    traysWanted: mostM ? spread.traysFor(mostM) : null,
    detail: t('cooking.spreadDetail', { count: trays, cm: centimetres(depthM), place: place?.name ?? '' }),
    refusal: spread.isDepthOdd
      ? t('cooking.notTray', { cm: centimetres(depthM), least: MIN_DEPTH_M * 100, mostCm: MAX_DEPTH_M * 100 })
      : read === null
        ? t('cooking.measure')
        : undefined,
    say: () =>
      read &&
      sayOfLot(lot.id, {
        kind: 'spread',
        massG,
        ...read,
        depthM,
        trays,
        place: spread.place,
        placeId: place?.id ?? null,
        covered: isCovered,
        airTempC: place?.airTempC ?? null,
      }),
  }
}
