import type { Station } from 'contract/kitchen'
import type { StationPastRow } from 'contract/station'
import { heatOf } from 'core/line/batchHeat'
import { restedMetalC } from 'core/line/idleMetal'
import { cleanedSinceUse, isWashed } from 'core/line/stationPast'
import { useReadsIn } from '../../setup/useKitchen'
import { formatWholeTemp } from '../../words/format'
import { useWords } from '../../words/i18n'

/** Metal below this is called cold: it does not burn who touches it [°C]. */
const COLD_C = 45
/** What nobody measured is said to this many degrees. */
const ROUND = 10

/** What an idle station last cooked, how hot its metal still is, and whether it is clean. */
export function useIdleWords() {
  const t = useWords('wok')
  const readsIn = useReadsIn()
  return (
    station: Station,
    past: StationPastRow | undefined,
    dishNameOf: (id: string) => string | undefined,
    nowMs: number,
  ): string => {
    if (!past?.lastDishId || past.usedUntilMs === null) return t('idle.never')
    const restedS = Math.max(0, (nowMs - past.usedUntilMs) / 1000)
    const metalC = restedMetalC(heatOf(station).station, past.usedUntilMs, nowMs)
    const metal = metalC < COLD_C ? t('idle.cold') : t('idle.metal', { temp: formatWholeTemp(metalC, readsIn, ROUND) })
    const last = t('idle.last', { dish: dishNameOf(past.lastDishId) ?? past.lastDishId, min: Math.round(restedS / 60) })
    const cleaned = isWashed(past) ? 'washed' : cleanedSinceUse(past)
    return [last, metal, ...(cleaned ? [t(`idle.${cleaned}`)] : [])].join(' · ')
  }
}
