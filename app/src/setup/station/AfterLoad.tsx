import { celsiusOf } from 'core/measure/temperature'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Dial } from '../../ui/Dial'
import { Notice } from '../../ui/Notice'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { degrees } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useHas, useReadsIn } from '../useKitchen'
import { useMassWords } from '../useMassWords'
import { AFTER_LOAD, type useCalibration } from './useCalibration'
import { useSurfaceAfterLoad } from './useSurface'

const LOAD = { least: 100, most: 4000, step: 50 } as const
const METAL = { least: 40, most: 350, from: 180 } as const
const START = { least: 120, most: 320 } as const

type Props = { stationId: string; calibration: ReturnType<typeof useCalibration> }

/** The third reading, for who wants it: the bared metal a minute after the first load says how well food touches it. */
export function AfterLoad({ stationId, calibration }: Props) {
  const { mass } = useMassWords()
  const t = useWords('setup')
  const { now, setLoad, leaveLoadOut, handling } = calibration
  const read = useSurfaceAfterLoad(stationId, (metalC) => setLoad({ metalC }))
  const hasThermometer = useHas('surface')
  const problem = useProblemSentence(read.error)
  const { load } = now
  if (load === null)
    return (
      <View className="gap-1 border-t border-edge pt-2">
        <Text tone="ash">{t('calibrate.load.why')}</Text>
        <Button label={t('calibrate.load.add')} onPress={() => setLoad({})} />
      </View>
    )
  return (
    <View className="gap-2 border-t border-edge pt-2">
      <Text size="step">{t('calibrate.load.how', { mass: mass(load.massG), seconds: AFTER_LOAD.atS })}</Text>
      <Text tone="ash">{t('calibrate.load.mass')}</Text>
      <Dial
        name={t('calibrate.load.mass')}
        value={load.massG}
        {...LOAD}
        unit="g"
        lessLabel={t('calibrate.load.less')}
        moreLabel={t('calibrate.load.more')}
        onChange={(massG) => setLoad({ massG })}
      />
      <TempDial
        name={t('calibrate.load.start')}
        tempC={load.startMetalC}
        {...START}
        onChange={(startMetalC) => setLoad({ startMetalC })}
      />
      <TempDial
        name={t('calibrate.load.metal')}
        tempC={load.metalC}
        {...METAL}
        onChange={(metalC) => setLoad({ metalC })}
      />
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <View className="flex-row gap-2">
        {hasThermometer && (
          <Button
            className="flex-1"
            label={t('calibrate.load.read')}
            isBusy={read.isPending}
            onPress={() => read.mutate({ massG: load.massG, startMetalC: load.startMetalC, ...AFTER_LOAD, handling })}
          />
        )}
        <Button className="flex-1" label={t('calibrate.load.leaveOut')} onPress={leaveLoadOut} />
      </View>
    </View>
  )
}

type TempDialProps = {
  name: string
  tempC: number | null
  least: number
  most: number
  from?: number
  onChange: (tempC: number) => void
}

function TempDial({ name, tempC, least, most, from, onChange }: TempDialProps) {
  const t = useWords('setup')
  const readsIn = useReadsIn()
  const shown = (celsius: number) => Math.round(degrees({ tempC: celsius }, readsIn))
  return (
    <>
      <Text tone="ash">{name}</Text>
      <Dial
        name={name}
        value={tempC === null ? null : shown(tempC)}
        {...(from !== undefined && { from: shown(from) })}
        least={shown(least)}
        most={shown(most)}
        step={5}
        unit={`°${readsIn}`}
        lessLabel={t('calibrate.colder')}
        moreLabel={t('calibrate.warmer')}
        onChange={(read) => onChange(readsIn === 'F' ? celsiusOf(read) : read)}
      />
    </>
  )
}
