import type { StationPlateState } from 'contract/stationPlate'
import type { calibrate } from 'core/wok/heat/calibrate'
import { usualHandling } from 'core/wok/heat/usualStations'
import { useRouter } from 'expo-router'
import { ScrollView, View } from 'react-native'
import { valueOf } from '../../device/worked'
import { Button } from '../../ui/Button'
import { Frame } from '../../ui/Frame'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { PageHeading } from '../../ui/PageHeading'
import { Loading, Problem, useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useIsWide } from '../../ui/useIsWide'
import { useWords } from '../../words/i18n'
import { useKitchen } from '../useKitchen'
import { AfterLoad } from './AfterLoad'
import { Result } from './CalibrateResult'
import { useTemp, Watch } from './CalibrateWatch'
import { TO_C, useCalibration } from './useCalibration'
import { useCalibrated, useSaveStation, useStationPlate } from './useStationPlate'

/** Three minutes at the stove: a litre of water by the watch, the dry vessel to first smoke, and what comes of it. */
export function CalibrateScreen({ id }: { id: string }) {
  const t = useWords('setup')
  const kitchen = useKitchen()
  const plate = useStationPlate(id)
  const station = kitchen.data?.stations.find((one) => one.id === id)
  const error = kitchen.error ?? plate.error
  if (plate.data && station) return <Calibrate state={plate.data} name={station.name} />
  return (
    <Frame stage="setup">
      {error ? (
        <Problem error={error} onRetry={() => void Promise.all([kitchen.refetch(), plate.refetch()])} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </Frame>
  )
}

const STEP_NUMBER = { waterReady: 1, waterRuns: 1, dryReady: 2, dryRuns: 2, result: 3 } as const

function Calibrate({ state, name }: { state: StationPlateState; name: string }) {
  const t = useWords('setup')
  const isWide = useIsWide()
  const hasDry = state.plate.kind === 'wok' && !state.plate.isCoated
  const calibration = useCalibration(state.stationId, hasDry, usualHandling(state.plate))
  const { step } = calibration
  const calibrated = valueOf(useCalibrated(state.plate, calibration.readings))
  const temp = useTemp(TO_C)
  const button =
    step === 'result' ? (
      <KeepButton state={state} name={name} calibration={calibration} calibrated={calibrated} />
    ) : (
      <Button
        kind="main"
        isTall
        label={t(`calibrate.taps.${step}`, { temp })}
        detail={t(`calibrate.tapDetails.${step}`)}
        onPress={calibration.tap}
      />
    )
  return (
    <Frame stage="setup" bar={button}>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="gap-3 p-4 md:max-w-2xl">
          <View className="flex-row items-baseline justify-between">
            <PageHeading size="title" weight="bold" stretch="wide">
              {t('calibrate.title', { name })}
            </PageHeading>
            <Text weight="bold">
              {t('calibrate.stepOf', {
                n: hasDry ? STEP_NUMBER[step] : step === 'result' ? 2 : 1,
                all: hasDry ? 3 : 2,
              })}
            </Text>
          </View>
          <Notice kind="hazard" isSmall title={t('calibrate.caution')} />
          {step === 'result' ? (
            <>
              <Result state={state} calibrated={calibrated} />
              <AfterLoad stationId={state.stationId} calibration={calibration} />
            </>
          ) : (
            <Watch stationId={state.stationId} plate={state.plate} calibration={calibration} />
          )}
          {isWide && button}
          <View className="flex-row gap-2">
            {step === 'dryReady' && (
              <Button className="flex-1" label={t('calibrate.skipDry')} onPress={calibration.skipDry} />
            )}
            {step !== 'waterReady' && (
              <HoldButton
                kind="plain"
                className="flex-1"
                label={t('calibrate.startOver')}
                detail={t('calibrate.hold')}
                onHeld={calibration.startOver}
              />
            )}
          </View>
        </View>
      </ScrollView>
    </Frame>
  )
}

type KeepProps = {
  state: StationPlateState
  name: string
  calibration: ReturnType<typeof useCalibration>
  calibrated: ReturnType<typeof calibrate> | null
}

/** Keeps what was found, unless a reading is asked about. */
function KeepButton({ state, name, calibration, calibrated }: KeepProps) {
  const t = useWords('setup')
  const router = useRouter()
  const { calibration: save } = useSaveStation(state.stationId)
  const problem = useProblemSentence(save.error)
  const { readings } = calibration
  const isGood = calibrated !== null && calibrated.result.implausible.length === 0
  const keepIt = () => {
    if (!readings) return
    save.mutate(
      { version: state.version, readings },
      {
        onSuccess: () => {
          calibration.end()
          toast(t('calibrate.saved', { name }))
          router.replace(`/setup/station/${state.stationId}`)
        },
      },
    )
  }
  return (
    <View className="gap-2">
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <Button
        kind="main"
        isTall
        label={t('calibrate.save')}
        isBusy={save.isPending}
        disabledBecause={isGood ? undefined : t(calibrated ? 'calibrate.asked' : 'calibrate.working')}
        onPress={keepIt}
      />
    </View>
  )
}
