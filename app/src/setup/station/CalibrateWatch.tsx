import type { StationPlate } from 'contract/stationPlate'
import { useEffect, useState } from 'react'
import { View } from 'react-native'
import { valueOf } from '../../device/worked'
import { Dial } from '../../ui/Dial'
import { Text } from '../../ui/Text'
import { degrees, formatClock, formatTemp } from '../../words/format'
import { useWords } from '../../words/i18n'
import { FIRST_SMOKE_C } from 'core/wok/heat/calibrate'
import { celsiusOf } from 'core/measure/temperature'
import { useReadsIn } from '../useKitchen'
import { LITRES, TO_C, type useCalibration } from './useCalibration'
import { useExpected } from './useStationPlate'
import { useDrySurface } from './useSurface'

const TICK_MS = 200
const MOST_FROM_C = 60

/** A temperature in the unit that the kitchen reads. */
export function useTemp(tempC: number): string {
  const readsIn = useReadsIn()
  return formatTemp({ tempC }, readsIn)
}

type WatchProps = { stationId: string; plate: StationPlate; calibration: ReturnType<typeof useCalibration> }

/** What to do now, the watch where it runs, and when the sign is expected. */
export function Watch({ stationId, plate, calibration }: WatchProps) {
  const t = useWords('setup')
  const { now, step, setFromC } = calibration
  const expected = valueOf(useExpected(plate, now.fromC, TO_C, LITRES))
  const watched = step === 'waterRuns' ? now.water : step === 'dryRuns' ? now.dry : null
  const expectedS = step.startsWith('water') ? expected?.waterS : expected?.dryS
  const temps = { from: useTemp(now.fromC), to: useTemp(TO_C) }
  if (step === 'result') return null
  return (
    <View className="gap-3">
      <Text size="step">{t(`calibrate.what.${step}`, { ...temps, litres: LITRES.toFixed(2) })}</Text>
      {step === 'waterReady' && <FromDial fromC={now.fromC} onChange={setFromC} />}
      {watched && <Running startedMs={watched.startedMs} name={t('calibrate.watch')} />}
      {step === 'dryRuns' && watched && <DryThermometer stationId={stationId} startedMs={watched.startedMs} />}
      <Text tone="ash">
        {expectedS === undefined
          ? t('calibrate.working')
          : expectedS === null
            ? t('calibrate.noExpected')
            : t('calibrate.expected', { time: formatClock(expectedS) })}
      </Text>
    </View>
  )
}

/** What the thermometer on the metal shows, where there is one; it needs no eye for smoke. */
function DryThermometer({ stationId, startedMs }: { stationId: string; startedMs: number }) {
  const t = useWords('setup')
  const shown = useDrySurface(stationId, startedMs)
  const temps = { now: useTemp(shown ?? 0), smoke: useTemp(FIRST_SMOKE_C) }
  return shown === null ? null : (
    <Text size="title" weight="bold" stretch="slim" aria-live="off">
      {t('calibrate.thermometer', temps)}
    </Text>
  )
}

function FromDial({ fromC, onChange }: { fromC: number; onChange: (fromC: number) => void }) {
  const t = useWords('setup')
  const readsIn = useReadsIn()
  const shown = (tempC: number) => Math.round(degrees({ tempC }, readsIn))
  return (
    <Dial
      name={t('calibrate.from')}
      value={shown(fromC)}
      least={shown(0)}
      most={shown(MOST_FROM_C)}
      unit={`°${readsIn}`}
      lessLabel={t('calibrate.colder')}
      moreLabel={t('calibrate.warmer')}
      onChange={(read) => onChange(readsIn === 'F' ? celsiusOf(read) : read)}
    />
  )
}

function Running({ startedMs, name }: { startedMs: number; name: string }) {
  const [nowMs, setNowMs] = useState(() => Date.now())
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), TICK_MS)
    return () => clearInterval(timer)
  }, [])
  return (
    <View role="timer" aria-label={name}>
      <Text size="clock" weight="bold" stretch="slim">
        {formatClock(Math.max(0, (nowMs - startedMs) / 1000))}
      </Text>
    </View>
  )
}
