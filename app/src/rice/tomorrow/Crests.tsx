import { likelyRange } from 'core/rice/plan/forecast'
import type { RicePlanDay, ServiceForecast } from 'contract/riceHouse'
import { plannedService } from 'core/rice/plan/planDay'
import { max, sum } from 'd3-array'
import { scaleBand, scaleLinear } from 'd3-scale'
import { curveBumpX, line } from 'd3-shape'
import { View } from 'react-native'
import Svg, { Line, Path, Text as SvgText } from 'react-native-svg'
import { Pressable } from 'react-native'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

const CREST_PX = 74
const LABEL_FROM = 3

type CrestsProps = {
  plan: RicePlanDay
  names: ReadonlyMap<string, string>
  widthPx: number
  onEdit: (serviceId: string) => void
}

/** Boats of the day as crests: as high as what is expected of each, dotted as high as it may be. */
export function Crests({ plan, names, widthPx, onEdit }: CrestsProps) {
  const t = useWords('rice')
  const planned = plan.services.map((service) => plannedService(service, plan.edits))
  const boats = Math.max(
    1,
    sum(plan.services, (one) => one.boats.length),
  )
  const gapPx = 12
  const boatPx = (widthPx - gapPx * (plan.services.length - 1)) / boats
  const most = max([
    1,
    ...plan.services.flatMap((one, i) => one.boats.map((boat) => boat.share * highOf(planned[i]!))),
  ])!
  return (
    <View className="flex-row" style={{ gap: gapPx }}>
      {plan.services.map((service, i) => {
        const own = planned[i]!
        const name = names.get(service.serviceId) ?? service.serviceId
        const minWidth = Math.max(96, service.boats.length * boatPx)
        return (
          <Pressable
            key={service.serviceId}
            role="button"
            aria-label={`${name}, ${t('tomorrow.expected', { n: Math.round(own.portions) })}, ${t('tomorrow.edit')}`}
            onPress={() => onEdit(service.serviceId)}
            className="ring-focus rounded-md active:bg-plate"
            style={{ width: minWidth, flexGrow: service.boats.length, flexShrink: 1 }}
          >
            <View className="flex-row items-baseline gap-2">
              <Text size="title" weight="bold" stretch="narrow">
                {Math.round(own.portions)}
              </Text>
              <Text tone="ash" stretch="slim" numberOfLines={1} className="shrink underline">
                {name}
              </Text>
            </View>
            {service.boats.length === 0 ? (
              <Text size="small" stretch="slim">
                {t('tomorrow.noRecord')}
              </Text>
            ) : (
              <Boats service={service} portions={own.portions} high={highOf(own)} most={most} boatPx={boatPx} />
            )}
          </Pressable>
        )
      })}
    </View>
  )
}

const highOf = ({ portions, spread }: { portions: number; spread: number }) => likelyRange(portions, spread).high

function Boats({
  service,
  portions,
  high,
  most,
  boatPx,
}: {
  service: ServiceForecast
  portions: number
  high: number
  most: number
  boatPx: number
}) {
  const width = service.boats.length * boatPx
  const y = scaleLinear([0, most], [CREST_PX, 6])
  const x = scaleBand(
    service.boats.map((boat) => boat.minute),
    [0, width],
  )
  const crest = (from: number, n: number) =>
    line().curve(curveBumpX)([
      [from, CREST_PX],
      [from + boatPx / 2, y(n)],
      [from + boatPx, CREST_PX],
    ]) ?? ''
  const first = service.boats[0]
  const last = service.boats.at(-1)
  return (
    <>
      <Svg width={width} height={CREST_PX + 2} aria-hidden>
        {service.boats.map(({ minute, share }) => (
          <Path
            key={`h${minute}`}
            d={crest(x(minute)!, share * high)}
            stroke="rgb(var(--ash))"
            strokeDasharray="2 3"
            fill="none"
          />
        ))}
        {service.boats.map(({ minute, share }) => (
          <Path key={minute} d={crest(x(minute)!, share * portions)} fill="rgb(216 207 188)" />
        ))}
        <Line x1={0} x2={width} y1={CREST_PX} y2={CREST_PX} stroke="rgb(var(--ash))" strokeWidth={1.4} />
        {service.boats.map(({ minute, share }) =>
          share * portions < LABEL_FROM || boatPx < 16 ? null : (
            <SvgText
              key={`n${minute}`}
              x={x(minute)! + boatPx / 2}
              y={CREST_PX - 5}
              fontSize={13}
              fontWeight="700"
              textAnchor="middle"
              fontFamily="Archivo Variable"
              fill="rgb(23 26 28)"
            >
              {Math.round(share * portions)}
            </SvgText>
          ),
        )}
      </Svg>
      <View className="flex-row justify-between">
        <Text size="small" stretch="narrow">
          {first ? clock(first.minute) : ''}
        </Text>
        <Text size="small" stretch="narrow">
          {last ? clock(last.minute) : ''}
        </Text>
      </View>
    </>
  )
}

const clock = (minute: number) =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`
