import type { Station as KitchenStation } from 'contract/kitchen'
import type { StationPlateState } from 'contract/stationPlate'
import { usualHandling } from 'core/wok/heat/usualStations'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { valueOf } from '../../device/worked'
import { Button } from '../../ui/Button'
import { Frame } from '../../ui/Frame'
import { Notice } from '../../ui/Notice'
import { PageHeading } from '../../ui/PageHeading'
import { Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { LearnedSection } from '../../wok/learned/LearnedSection'
import { formatDay, formatTemp, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useKitchen, useReadsIn } from '../useKitchen'
import { PastVersions } from './PastVersions'
import { PlateForm } from './PlateForm'
import { Recoveries } from './Recoveries'
import { Section } from './Section'
import { WonderHere } from './WonderHere'
import { FROM_FRIDGE_C, useStationFigures, useStationPlate } from './useStationPlate'

/** A station: how much rice it fries and what stops it, how it recovers, its plate, and its calibrations. */
export function StationScreen({ id }: { id: string }) {
  const t = useWords('setup')
  const kitchen = useKitchen()
  const plate = useStationPlate(id)
  const station = kitchen.data?.stations.find((one) => one.id === id)
  const error = kitchen.error ?? plate.error
  return (
    <Frame stage="setup" bar={station && <CalibrateButton id={id} />}>
      {plate.data && station && kitchen.data ? (
        <KnownStation state={plate.data} station={station} timeZone={kitchen.data.timeZone} />
      ) : error ? (
        <Problem error={error} onRetry={() => void Promise.all([kitchen.refetch(), plate.refetch()])} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </Frame>
  )
}

function CalibrateButton({ id }: { id: string }) {
  const t = useWords('setup')
  const router = useRouter()
  return (
    <Button
      kind="main"
      isTall
      label={t('station.calibrate')}
      detail={t('station.calibrateDetail')}
      onPress={() => router.push(`/setup/station/${id}/calibrate`)}
    />
  )
}

type StationProps = { state: StationPlateState; station: KitchenStation; timeZone: string }

function KnownStation({ state, station, timeZone }: StationProps) {
  const t = useWords('setup')
  const isWide = useIsWide()
  const readsIn = useReadsIn()
  const [typedOver, setTypedOver] = useState<StationPlateState | null>(null)
  const { plate, efficiencyError, calibratedAtMs } = state
  const worked = useStationFigures(plate, efficiencyError)
  const figures = valueOf(worked)
  const size =
    plate.plateM !== null
      ? t('station.plateSize', { width: cm(plate.plateM.width), length: cm(plate.plateM.length) })
      : t('station.across', { cm: cm(plate.diameterM ?? 0) })
  const known = [
    `${size} ${t(`station.kinds.${plate.kind}`)}`,
    t('station.rice', {
      temp: formatTemp({ tempC: FROM_FRIDGE_C }, readsIn),
      moved: t(`station.moved.${usualHandling(plate)}`),
    }),
    calibratedAtMs === null
      ? t('station.notCalibrated')
      : t('station.calibratedAt', {
          day: formatDay(calibratedAtMs, timeZone),
          time: formatTime(calibratedAtMs, timeZone),
        }),
  ].join(' · ')
  const panel = (
    <View className="gap-3">
      <PlateForm key={(typedOver ?? state).version} state={typedOver ?? state} onTyping={setTypedOver} />
      <PastVersions stationId={station.id} timeZone={timeZone} />
      {isWide && <CalibrateButton id={station.id} />}
    </View>
  )
  return (
    <View className="min-h-0 flex-1 md:flex-row">
      <ScrollView tabIndex={0} className="min-h-0 min-w-0 flex-1">
        <View className="gap-3 p-4">
          <PageHeading size="title" weight="bold" stretch="wide">
            {station.name}
          </PageHeading>
          <Text tone="ash">{known}</Text>
          {calibratedAtMs === null && <Notice kind="conflict" isSmall title={t('station.estimate')} />}
          {figures ? (
            <>
              <Section figures={figures} plate={plate} capPortions={station.capPortions} />
              <Recoveries figures={figures} />
            </>
          ) : (
            <Text tone="ash">{t(worked.kind === 'working' ? 'station.working' : 'station.noFigures')}</Text>
          )}
          <Text tone="ash">{t('station.probeDecides')}</Text>
          <LearnedSection kind="station" id={station.id} />
          <WonderHere station={station} />
          {!isWide && panel}
        </View>
      </ScrollView>
      {isWide && (
        <ScrollView tabIndex={0} className="min-h-0 max-w-[300px] border-l border-edge bg-plate">
          <View className="p-4">{panel}</View>
        </ScrollView>
      )}
    </View>
  )
}

const cm = (metres: number) => Math.round(metres * 1000) / 10
