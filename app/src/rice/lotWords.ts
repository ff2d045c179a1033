import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse } from 'contract/riceHouse'
import type { LotPlace } from 'core/rice/lot/lotEvent'
import { dayAfter, localDay } from 'core/time/localTime'
import { formatDay, formatTime, formatWholeTemp } from '../words/format'
import { useWords } from '../words/i18n'
import { readyAtMs } from './shelf/nextTask'
import type { WatchedLot } from 'core/rice/lot/watchLot'
import type { ShownLot } from './useLots'

export const centimetres = (depthM: number): string => (Math.round(depthM * 1000) / 10).toString()

/** Days from the day it was cooked, which is the first. */
function dayNumber(cookedAtMs: number, nowMs: number, timeZone: string): number {
  let n = 1
  for (let day = localDay(cookedAtMs, timeZone); day < localDay(nowMs, timeZone); day = dayAfter(day)) n += 1
  return n
}

/** Sentences about lots in this kitchen. */
export function useLotWords(kitchen: Kitchen, house: RiceHouse) {
  const t = useWords('rice')
  const zone = kitchen.timeZone
  const placeName = ({ place, placeId }: { place: LotPlace | null; placeId: string | null }) =>
    house.places.find((one) => one.id === placeId)?.name ?? (place ? t(`places.${place}`) : t('places.none'))
  const status = (shown: ShownLot, watched: WatchedLot | null, nowMs: number): string => {
    const { state } = shown
    switch (state.stage) {
      case 'cooking': {
        const readyMs = readyAtMs(shown)
        return readyMs !== null && readyMs > nowMs ? formatTime(readyMs, zone) : t('cooking.readyNow')
      }
      case 'cooling':
      case 'chilling': {
        const lastC = state.lastTempC === null ? '' : formatWholeTemp(state.lastTempC, kitchen.readsIn)
        const last = watched?.forecast.steps.at(-1)
        if (!last) return lastC
        const cold =
          last.reachedMs === null
            ? t('notCold')
            : last.reachedMs <= nowMs
              ? t('readToKnow')
              : t('coldAt', { time: formatTime(last.reachedMs, zone) })
        return `${lastC}, ${cold}`
      }
      case 'ready':
      case 'tempering':
        return dayOf(shown, nowMs)
      case 'frozen':
        return t('frozen', { n: dayNumber(state.cookedAtMs ?? nowMs, nowMs, zone) })
      default:
        return t(`stages.${state.stage}`)
    }
  }
  const dayOf = ({ state }: ShownLot, nowMs: number): string => {
    if (state.useByMs === null) return ''
    if (state.cookedAtMs === null) return t('useBy', { day: formatDay(state.useByMs, zone) })
    const most = dayNumber(state.cookedAtMs, state.useByMs, zone)
    return t('dayOf', { n: dayNumber(state.cookedAtMs, nowMs, zone), most })
  }
  return { placeName, status, dayOf }
}
