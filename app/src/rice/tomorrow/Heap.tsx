import { normalCdf } from 'core/rice/plan/normal'
import type { DayRicePlan } from 'core/rice/plan/ricePlanFor'
import { ticks } from 'd3-array'
import { scaleLinear } from 'd3-scale'
import { area } from 'd3-shape'
import Svg, { Circle, Line, Path, Pattern, Rect, Text as SvgText } from 'react-native-svg'
import { Definitions } from '../../ui/Definitions'
import { useWords } from '../../words/i18n'
import { useMassWords } from '../../setup/useMassWords'

const WIDTH = 176
const HEIGHT = 232
const POT = { left: 6, right: 170, bottom: 226, top: 30 } as const
const POINTS = 50

/** The day's rice as a heap in a pot, portion on portion: as wide as each is likely to be asked for. */
export function Heap({ day }: { day: DayRicePlan }) {
  const { bulk } = useMassWords()
  const t = useWords('rice')
  const { planned, plan, usableG } = day
  const top = Math.max(plan.portions, planned.expected + 2.4 * planned.spread, 1)
  const y = scaleLinear([0, top], [POT.bottom, POT.top])
  const half = (portions: number) =>
    ((1 - normalCdf((portions - planned.expected) / Math.max(0.01, planned.spread))) * (POT.right - POT.left - 12)) / 2
  const middle = (POT.left + POT.right) / 2
  const heap = area<number>()
    .x0((n) => middle - half(n))
    .x1((n) => middle + half(n))
    .y(y)(ticks(0, 1, POINTS).map((share) => share * top))
  const haveG = Math.min(usableG, plan.wantedG)
  const haveY = y(haveG / planned.portionG)
  return (
    <Svg width={WIDTH} height={HEIGHT} role="img" aria-label={t('tomorrow.likely')}>
      <Definitions>
        <Pattern id="heap-grain" width={10} height={7} patternUnits="userSpaceOnUse">
          <Rect width={10} height={7} fill="rgb(216 207 188)" />
          <Circle cx={2} cy={2} r={1} fill="rgb(160 148 122)" />
          <Circle cx={7} cy={5} r={1} fill="rgb(160 148 122)" />
        </Pattern>
      </Definitions>
      <Path d={heap ?? ''} fill="url(#heap-grain)" stroke="rgb(var(--rice))" strokeWidth={1.4} />
      {haveG > 0 && (
        <Path
          d={`M${POT.left + 6} ${haveY} H${POT.right - 6} V${POT.bottom} H${POT.left + 6} Z`}
          fill="rgb(var(--line))"
          opacity={0.75}
        />
      )}
      <Path d={`M${POT.left - 4} ${y(plan.portions)} H${POT.right + 4}`} stroke="rgb(var(--rice))" strokeWidth={2.4} />
      <Path
        d={`M${POT.left} ${POT.top - 6} V${POT.bottom} H${POT.right} V${POT.top - 6}`}
        stroke="rgb(var(--rice))"
        strokeWidth={2}
        fill="none"
      />
      <SvgText
        x={POT.left + 6}
        y={y(plan.portions) - 6}
        fontSize={18}
        fontWeight="700"
        fontFamily="Archivo Variable"
        fill="rgb(var(--rice))"
      >
        {plan.portions}
      </SvgText>
      <Line
        x1={POT.right - 10}
        x2={POT.right}
        y1={y(planned.expected)}
        y2={y(planned.expected)}
        stroke="rgb(var(--rice))"
        strokeWidth={1.6}
      />
      <SvgText
        x={POT.right - 13}
        y={y(planned.expected) + 5}
        fontSize={14}
        textAnchor="end"
        fontWeight="600"
        fontFamily="Archivo Variable"
        fill="rgb(var(--rice))"
      >
        {Math.round(planned.expected)}
      </SvgText>
      {plan.toCookG > 0 && (
        <>
          <Rect x={middle - 46} y={(haveY + y(plan.portions)) / 2 - 4} width={92} height={28} fill="rgb(216 207 188)" />
          <SvgText
            x={middle}
            y={(haveY + y(plan.portions)) / 2 + 17}
            fontSize={19}
            fontWeight="700"
            textAnchor="middle"
            fontFamily="Archivo Variable"
            fill="rgb(23 26 28)"
          >
            {bulk(plan.toCookG)}
          </SvgText>
        </>
      )}
    </Svg>
  )
}
