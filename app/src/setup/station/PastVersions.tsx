import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useStationVersions } from './useStationPlate'

const SHOWN = 6

/** What was said and measured of the station before, newest first: what reaches its metal, and how sure that was. */
export function PastVersions({ stationId, timeZone }: { stationId: string; timeZone: string }) {
  const t = useWords('setup')
  const versions = useStationVersions(stationId).data?.versions
  if (!versions || versions.length === 0) return null
  return (
    <View className="gap-1 border-t border-edge pt-3">
      <Text role="heading" aria-level={2} weight="bold">
        {t('station.versions')}
      </Text>
      {versions.slice(0, SHOWN).map(({ version, savedAtMs, plate, efficiencyError, readings }) => {
        const netW = plate.powerW * plate.efficiency
        return (
          <View key={version} className="flex-row justify-between gap-2">
            <Text
              tone="ash"
              stretch="narrow"
            >{`${formatDay(savedAtMs, timeZone)} ${formatTime(savedAtMs, timeZone)}`}</Text>
            <Text stretch="narrow">
              {t(readings ? 'station.measured' : 'station.byPlate', {
                kw: (netW / 1000).toFixed(2),
                error: ((netW * efficiencyError) / 1000).toFixed(2),
              })}
            </Text>
          </View>
        )
      })}
    </View>
  )
}
