import type { Readiness } from 'core/mise/ready/readiness'
import { View } from 'react-native'
import Svg, { Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg'
import { Definitions } from '../../ui/Definitions'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { tubLayout } from './tubLayout'

const FONT = 'Archivo Variable'
const HEIGHT = 292
const TOP = 34
const BOTTOM = 262
const LEFT = 46
const MOST = 9
const RICE = 'rgb(var(--rice))'
const HOUR_MS = 3_600_000

type Props = {
  ready: Readiness
  names: (id: string) => string
  fromMs: number
  toMs: number
  widthPx: number
  zone: string
}

/** A tub holds as much as its shortest stave: height is boats served, the water stands where the first thing fails. */
export function Tub({ ready, names, fromMs, toMs, widthPx, zone }: Props) {
  const t = useWords('mise')
  const { staves, groups } = tubLayout(ready.staves, {
    fromMs,
    toMs,
    widthPx: widthPx - LEFT,
    topPx: TOP,
    bottomPx: BOTTOM,
    most: MOST,
  })
  const y = (ms: number) => BOTTOM - (BOTTOM - TOP) * Math.min(1, Math.max(0, (ms - fromMs) / (toMs - fromMs)))
  const levelY = y(ready.untilMs ?? toMs)
  const nowLevelY = y(ready.nowMs ?? toMs)
  const hours = Array.from({ length: Math.ceil((toMs - fromMs) / HOUR_MS) + 1 }, (_, i) =>
    Math.min(toMs, fromMs + i * HOUR_MS),
  )
  const first = ready.firstOut && staves.find(({ stave }) => stave === ready.firstOut)
  return (
    <View role="img" aria-label={t('ready.what')}>
      <Svg width={widthPx} height={HEIGHT} aria-hidden>
        <Definitions>
          <Pattern id="tub-hatch" width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <Line x1={0} x2={0} y1={0} y2={7} stroke="rgb(var(--ash))" strokeWidth={1.5} />
          </Pattern>
          <Pattern id="tub-grain" width={12} height={8} patternUnits="userSpaceOnUse">
            <Path d="M1 3 q2 -2 4 0 M7 7 q2 -2 4 0" stroke="rgb(var(--line))" strokeWidth={1} fill="none" />
          </Pattern>
        </Definitions>
        {hours.map((ms) => (
          <SvgText
            key={ms}
            x={LEFT - 8}
            y={y(ms) + 4}
            fontSize={13}
            fontFamily={FONT}
            fill="rgb(var(--ash))"
            textAnchor="end"
          >
            {formatTime(ms, zone)}
          </SvgText>
        ))}
        {staves.map(({ stave, x, width, nowY, untilY }) => (
          <Stave
            key={stave.id}
            {...{ x: x + LEFT, width, nowY, untilY }}
            isShort={stave.state === 'short'}
            isGap={stave.kind === 'stations' && stave.state !== 'ready'}
          />
        ))}
        <Rect
          x={LEFT}
          y={nowLevelY}
          width={widthPx - LEFT}
          height={BOTTOM - nowLevelY}
          fill="rgb(var(--pan))"
          opacity={0.6}
        />
        <Rect
          x={LEFT}
          y={levelY}
          width={widthPx - LEFT}
          height={BOTTOM - levelY}
          fill="url(#tub-grain)"
          opacity={0.45}
        />
        <Line x1={LEFT - 4} x2={widthPx} y1={levelY} y2={levelY} stroke={RICE} strokeWidth={3} />
        {[0.3, 0.78].map((share) => {
          const hoopY = TOP + (BOTTOM - TOP) * share
          return (
            <Path
              key={share}
              d={`M${LEFT - 2} ${hoopY} Q${(LEFT + widthPx) / 2} ${hoopY + 10} ${widthPx} ${hoopY}`}
              stroke="rgb(var(--line))"
              strokeWidth={4}
              fill="none"
            />
          )
        })}
        {first && ready.firstOut && (
          <FirstOut
            x={first.x + LEFT + first.width / 2}
            y={levelY}
            words={`${names(ready.firstOut.id)}, ${formatTime(ready.untilMs ?? toMs, zone)}`}
            leastX={LEFT}
            mostX={widthPx}
          />
        )}
        {groups.map(({ kind, x, width }) => (
          <GroupName key={kind} x={x + LEFT} width={width} name={t(`ready.kinds.${kind}`)} />
        ))}
      </Svg>
    </View>
  )
}

function Stave({
  x,
  width,
  nowY,
  untilY,
  isShort,
  isGap,
}: {
  x: number
  width: number
  nowY: number
  untilY: number
  isShort: boolean
  isGap: boolean
}) {
  if (isGap) {
    return (
      <Rect
        x={x}
        y={TOP}
        width={width}
        height={BOTTOM - TOP}
        fill="none"
        stroke={RICE}
        strokeDasharray="4 4"
        strokeWidth={1.5}
      />
    )
  }
  return (
    <>
      {isShort && <Rect x={x} y={TOP} width={width} height={untilY - TOP} fill="url(#tub-hatch)" />}
      {untilY < nowY && (
        <Rect
          x={x}
          y={untilY}
          width={width}
          height={nowY - untilY}
          fill="none"
          stroke="rgb(var(--ash))"
          strokeWidth={1}
          strokeDasharray="3 3"
        />
      )}
      <Path
        d={`M${x} ${BOTTOM} V${nowY + 5} Q${x + width / 2} ${nowY - 3} ${x + width} ${nowY + 5} V${BOTTOM} Z`}
        fill="rgb(var(--stave))"
        stroke="rgb(var(--stave-joint))"
        strokeWidth={1}
      />
      {isShort && <Line x1={x - 1} x2={x + width + 1} y1={untilY} y2={untilY} stroke={RICE} strokeWidth={4} />}
    </>
  )
}

const LETTER_PX = 7.4

function FirstOut({
  x,
  y,
  words,
  leastX,
  mostX,
}: {
  x: number
  y: number
  words: string
  leastX: number
  mostX: number
}) {
  const wide = words.length * LETTER_PX + 16
  const left = Math.max(leastX, Math.min(mostX - wide, x - wide / 2))
  const top = Math.max(0, y - 36)
  return (
    <>
      <Path d={`M${x - 7} ${top + 26} L${x} ${top + 34} L${x + 7} ${top + 26} Z`} fill="rgb(var(--inverse))" />
      <Rect x={left} y={top} width={wide} height={26} rx={3} fill="rgb(var(--inverse))" />
      <SvgText
        x={left + wide / 2}
        y={top + 18}
        fontSize={14}
        fontWeight="700"
        fontFamily={FONT}
        textAnchor="middle"
        fill="rgb(var(--on-inverse))"
      >
        {words}
      </SvgText>
    </>
  )
}

function GroupName({ x, width, name }: { x: number; width: number; name: string }) {
  return (
    <>
      <Line x1={x} x2={x + width} y1={BOTTOM + 7} y2={BOTTOM + 7} stroke="rgb(var(--ash))" strokeWidth={2} />
      <SvgText
        x={x + width / 2}
        y={BOTTOM + 24}
        fontSize={13}
        fontWeight="600"
        fontFamily={FONT}
        fill={RICE}
        textAnchor="middle"
      >
        {name}
      </SvgText>
    </>
  )
}
