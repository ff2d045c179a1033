import type { StationPlateState } from 'contract/stationPlate'
import type { calibrate } from 'core/wok/heat/calibrate'
import { View } from 'react-native'
import { valueOf } from '../../device/worked'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { useStationFigures } from './useStationPlate'
import { useMassWords } from '../useMassWords'

type ResultProps = { state: StationPlateState; calibrated: ReturnType<typeof calibrate> | null }

/** What was found, before and after, in plain words; a reading that no station gives is asked about. */
export function Result({ state, calibrated }: ResultProps) {
  const t = useWords('setup')
  if (!calibrated) return <Text tone="ash">{t('calibrate.working')}</Text>
  const { result, station } = calibrated
  if (result.implausible.length > 0)
    return (
      <View className="gap-2">
        {result.implausible.map(({ reading, why }) => (
          <Notice key={reading} kind="conflict" title={t(`calibrate.odd.${reading}`)}>
            <Text>{t(`calibrate.why.${why}`)}</Text>
          </Notice>
        ))}
      </View>
    )
  const plate = { ...state.plate, ...station, zoneShare: station.zoneShare ?? null, contact: station.contact ?? null }
  return (
    <View className="gap-4">
      <Found title={t('calibrate.before')} plate={state.plate} error={state.efficiencyError} />
      <Found title={t('calibrate.after')} plate={plate} error={result.efficiencyError} isNew />
      <Text tone="ash">{t('station.probeDecides')}</Text>
    </View>
  )
}

type FoundProps = { title: string; plate: StationPlateState['plate']; error: number; isNew?: boolean }

function Found({ title, plate, error, isNew = false }: FoundProps) {
  const { mass } = useMassWords()
  const t = useWords('setup')
  const figures = valueOf(useStationFigures(plate, error))
  const netKw = (plate.powerW * plate.efficiency) / 1000
  const [largest] = figures?.recoveries ?? []
  return (
    <View className={`gap-1 border-t pt-2 ${isNew ? 'border-celadon' : 'border-edge'}`}>
      <Text tone="ash">{title}</Text>
      <Text size={isNew ? 'figure' : 'title'} weight="bold" stretch="slim">
        {t('calibrate.reaches', { kw: netKw.toFixed(2), error: (netKw * error).toFixed(2) })}
      </Text>
      {figures && (
        <Text weight={isNew ? 'bold' : 'normal'}>
          {figures.largest && largest
            ? t(largest.timeTo74S === null ? 'calibrate.friesSlow' : 'calibrate.fries', {
                mass: mass(figures.largest.massG),
                seconds: Math.round(largest.timeTo74S ?? 0),
              })
            : t('station.noBatch')}
        </Text>
      )}
    </View>
  )
}
