import type { StationPlate } from 'contract/stationPlate'
import { HOT_C, LEAST_METAL_C } from 'core/wok/heat/parameters'
import type { StationFigures } from 'core/wok/heat/stationFigures'
import { View } from 'react-native'
import Svg, { Circle, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg'
import { NARROW } from '../../line/LaneParts'
import { Text } from '../../ui/Text'
import { formatWholeTemp } from '../../words/format'
import { useWords } from '../../words/i18n'
import { sectionDrawing } from './sectionDrawing'
import { useReadsIn } from '../useKitchen'
import { useMassWords, type MassWords } from '../useMassWords'

const RICE = 'rgb(var(--rice))'
const ASH = 'rgb(var(--ash))'
const WIDTH_PX = 350
const HEIGHT_PX = 190
const LIMIT_C = { dip: LEAST_METAL_C, time: HOT_C, volume: null } as const

/** The vessel cut through: what it fries, where it would steam, be too slow or spill, to scale. */
export function Section({
  figures,
  plate,
  capPortions,
}: {
  figures: StationFigures
  plate: StationPlate
  capPortions: number
}) {
  const words = useMassWords()
  const { mass } = words
  const readsIn = useReadsIn()
  const t = useWords('setup')
  const { largest, leastG, mostG } = figures
  const limitC = largest && LIMIT_C[largest.limit]
  const drawing = sectionDrawing(figures, WIDTH_PX, HEIGHT_PX)
  const between =
    leastG === null || mostG === null ? null : t('station.between', { least: mass(leastG), most: mass(mostG) })
  return (
    <View className="gap-2">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('station.howMuch')}
      </Text>
      <View className="gap-4 md:flex-row md:items-center">
        <View role="img" aria-label={spoken(figures, t, words)}>
          <Svg width={WIDTH_PX} height={drawing.heightPx}>
            <Pattern id="spills" width={7} height={7} patternUnits="userSpaceOnUse">
              <Path d="M0 7 L7 0" stroke={ASH} strokeWidth={1} />
            </Pattern>
            <Pattern id="slow" width={8} height={8} patternUnits="userSpaceOnUse">
              <Circle cx={2} cy={2} r={1.3} fill={ASH} />
              <Circle cx={6} cy={6} r={1.3} fill={ASH} />
            </Pattern>
            {drawing.zones.map((zone) => (
              <Path key={zone.kind} d={zone.path} fill={FILL[zone.kind]} />
            ))}
            {drawing.levels.map((level) => (
              <Line
                key={level.limit}
                x1={level.fromX}
                x2={level.toX}
                y1={level.y}
                y2={level.y}
                stroke={RICE}
                strokeWidth={level.isDeciding ? 3 : 1.25}
                strokeDasharray={level.isDeciding ? '1 0' : '5 4'}
              />
            ))}
            <Path d={drawing.outline} fill="none" stroke={RICE} strokeWidth={3.5} strokeLinejoin="round" />
            {plate.kind === 'griddle' && (
              <Rect
                x={drawing.leftX - 14}
                y={drawing.heightPx - 9}
                width={drawing.rightX - drawing.leftX + 28}
                height={7}
                fill={RICE}
              />
            )}
            <SvgText
              x={WIDTH_PX / 2}
              y={drawing.friesY}
              fill={RICE}
              fontSize={19}
              fontWeight={700}
              textAnchor="middle"
              {...NARROW}
            >
              {t(largest ? 'station.fries' : 'station.steams')}
            </SvgText>
          </Svg>
        </View>
        <View className="gap-2">
          {largest ? (
            <View>
              <Text size="figure" weight="bold" stretch="slim">
                {mass(largest.massG)}
              </Text>
              {between !== null && <Text>{between}</Text>}
              <Text weight="bold">
                {t(`station.limits.${largest.limit}`, {
                  temp: limitC === null ? '' : formatWholeTemp(limitC, readsIn),
                })}
              </Text>
            </View>
          ) : (
            <Text weight="bold">{t('station.noBatch')}</Text>
          )}
          <Limits figures={figures} />
          <Text tone="ash">{t('station.house', { count: capPortions })}</Text>
        </View>
      </View>
    </View>
  )
}

const FILL = { fries: 'rgb(var(--edge))', steams: 'transparent', slow: 'url(#slow)', spills: 'url(#spills)' } as const
const LIMITS = ['volume', 'time', 'dip'] as const

/** What each limit alone would allow. */
function Limits({ figures: { limits, largest } }: { figures: StationFigures }) {
  const { mass } = useMassWords()
  const t = useWords('setup')
  const massG = { dip: limits.dipG, time: limits.timeG, volume: limits.volumeG }
  return (
    <View>
      {LIMITS.map((limit) => {
        const most = massG[limit]
        return (
          <Text key={limit} weight={largest?.limit === limit ? 'bold' : 'normal'} tone={most === null ? 'ash' : 'rice'}>
            {most === null
              ? t(`station.noLimit.${limit === 'volume' ? 'time' : limit}`)
              : `${mass(most)} ${t(`station.limitNames.${limit}`)}`}
          </Text>
        )
      })}
    </View>
  )
}

function spoken(
  { largest, limits }: StationFigures,
  t: ReturnType<typeof useWords<'setup'>>,
  { mass }: MassWords,
): string {
  if (!largest) return t('station.noBatch')
  const each = [
    limits.dipG === null ? null : `${mass(limits.dipG)} ${t('station.limitNames.dip')}`,
    limits.timeG === null ? null : `${mass(limits.timeG)} ${t('station.limitNames.time')}`,
    `${mass(limits.volumeG)} ${t('station.limitNames.volume')}`,
  ]
  return t('station.spoken', { mass: mass(largest.massG), limits: each.filter(Boolean).join(', ') })
}
