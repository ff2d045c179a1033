import type { Recovery, StationFigures } from 'core/wok/heat/stationFigures'
import { View } from 'react-native'
import Svg, { Line, Path, Rect } from 'react-native-svg'
import { Text } from '../../ui/Text'
import { formatClock, formatWholeTemp } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useReadsIn } from '../useKitchen'
import { useMassWords } from '../useMassWords'
import { recoveryBands, STEAMS_UNDER_C, widthPx } from './recoveryDrawing'

const HEIGHT_PX = 200
const CHANNEL_PX = 96

/** How the metal falls and comes back under three loads: as wide as it is hot above the boil. */
export function Recoveries({ figures: { recoveries } }: { figures: StationFigures }) {
  const t = useWords('setup')
  return (
    <View className="gap-2">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('station.recovers')}
      </Text>
      <Text tone="ash">{t('station.recoversDetail')}</Text>
      <View className="flex-row flex-wrap gap-x-6 gap-y-4">
        {recoveries.map((one) => (
          <OneRecovery key={one.massG} recovery={one} />
        ))}
      </View>
    </View>
  )
}

function OneRecovery({ recovery }: { recovery: Recovery }) {
  const { mass } = useMassWords()
  const t = useWords('setup')
  const readsIn = useReadsIn()
  const middle = CHANNEL_PX / 2
  const steams = widthPx(STEAMS_UNDER_C, CHANNEL_PX) / 2
  const said = [
    t('station.lowest', { temp: formatWholeTemp(recovery.lowestMetalC, readsIn) }),
    recovery.timeTo74S === null ? t('station.neverHot') : t('station.hotAt', { time: formatClock(recovery.timeTo74S) }),
    recovery.doneS === null ? t('station.neverDry') : t('station.dryAt', { time: formatClock(recovery.doneS) }),
  ]
  return (
    <View className="w-[330px] flex-row gap-3 md:w-[250px]">
      <Svg width={CHANNEL_PX} height={HEIGHT_PX} aria-hidden>
        <Rect x={0} y={0} width={CHANNEL_PX} height={HEIGHT_PX} fill="rgb(var(--channel))" />
        {recoveryBands(recovery.metal, CHANNEL_PX, HEIGHT_PX).map((band) => (
          <Path key={band.fromS} d={band.path} fill={`rgb(var(--ember-${band.heat}))`} />
        ))}
        {[middle - steams, middle + steams].map((x) => (
          <Line
            key={x}
            x1={x}
            x2={x}
            y1={0}
            y2={HEIGHT_PX}
            stroke="rgb(var(--in-channel))"
            strokeWidth={2}
            strokeDasharray="2 5"
          />
        ))}
      </Svg>
      <View className="min-w-0 flex-1">
        <Text size="lead" weight="bold" stretch="slim">
          {mass(recovery.massG)}
        </Text>
        <Text weight="bold">
          {recovery.fryingS < 5
            ? t('station.onlySteams')
            : t('station.friesFor', { seconds: Math.round(recovery.fryingS) })}
        </Text>
        {said.map((line) => (
          <Text key={line} tone="ash">
            {line}
          </Text>
        ))}
      </View>
    </View>
  )
}
