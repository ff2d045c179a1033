import { Text as SvgText } from 'react-native-svg'

const FONT = 'Archivo Variable'
const HALO_PX = 5

/** Words in the chart that lie over lines: the ground shows round them. */
export function ChartText({
  x,
  y,
  sizePx,
  anchor,
  children,
}: {
  x: number
  y: number
  sizePx: number
  anchor: 'middle' | 'end'
  children: string
}) {
  const common = { x, y, fontSize: sizePx, fontWeight: '700', fontFamily: FONT, textAnchor: anchor } as const
  return (
    <>
      <SvgText {...common} stroke="rgb(var(--ground))" strokeWidth={HALO_PX} fill="rgb(var(--ground))">
        {children}
      </SvgText>
      <SvgText {...common} fill="rgb(var(--rice))">
        {children}
      </SvgText>
    </>
  )
}
