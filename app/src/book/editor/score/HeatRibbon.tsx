import type { StatedSchools } from 'core/book/schools'
import type { Score as CoreScore } from 'core/wok/score'
import { useRef, useState } from 'react'
import { View } from 'react-native'
import Svg, { Line } from 'react-native-svg'
import { Channel, Score } from '../../../score/Score'
import { plannedSpans, scoreDrawing } from 'core/wok/drawing/scoreDrawing'
import { Text } from '../../../ui/Text'
import { useWords } from '../../../words/i18n'
import { useSchoolWords } from '../useSchoolWords'

type Heat = NonNullable<StatedSchools['heat']>
/** From left to right as the ribbon is pulled wider; what is left to the engine first. */
const HEATS: readonly Heat[] = ['auto', 'lowRising', 'medium', 'mediumThenHigh', 'high', 'full']
const CHANNEL_PX = 96
const HEIGHT_PX = 420
const KEYS: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }

type HeatRibbonProps = { score: CoreScore; stated: StatedSchools['heat']; onHeat: (heat: Heat) => void }

/** The ribbon of a score, as wide as its heat: pulled sideways, or with the arrow keys, it says how the heat is led. */
export function HeatRibbon({ score, stated = 'auto', onHeat }: HeatRibbonProps) {
  const t = useWords('book')
  const words = useSchoolWords()
  const box = useRef<View>(null)
  const [pulled, setPulled] = useState<Heat | null>(null)
  const [isPulling, setIsPulling] = useState(false)
  // What was pulled is shown until the dish says the same.
  if (pulled !== null && pulled === stated && !isPulling) setPulled(null)
  // A griddle may be led by zones, which is no width of the ribbon: it is chosen among the schools.
  const at = Math.max(0, HEATS.indexOf(pulled ?? stated))
  const heatAt = (clientX: number): Heat => {
    const { left, width } = (box.current as unknown as HTMLElement).getBoundingClientRect()
    const share = Math.min(0.999, Math.max(0, (clientX - left) / width))
    return HEATS[Math.floor(share * HEATS.length)]!
  }
  const settle = (heat: Heat | null) => {
    setIsPulling(false)
    setPulled(heat)
    if (heat !== null && heat !== stated) onHeat(heat)
  }
  const pull = {
    onPointerDown: (event: PointerEvent) => {
      ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
      setIsPulling(true)
      setPulled(heatAt(event.clientX))
    },
    onPointerMove: (event: PointerEvent) => {
      if (isPulling) setPulled(heatAt(event.clientX))
    },
    onPointerUp: () => isPulling && settle(pulled),
    onPointerCancel: () => {
      setIsPulling(false)
      setPulled(null)
    },
    onKeyDown: (event: KeyboardEvent) => {
      const by = KEYS[event.key]
      if (by === undefined) return
      event.preventDefault()
      settle(HEATS[Math.min(HEATS.length - 1, Math.max(0, at + by))]!)
    },
  } as object
  const shown = words.value('heat', pulled ?? stated)
  const handleX = ((at + 0.5) / HEATS.length) * CHANNEL_PX
  return (
    <View className="gap-1" style={{ width: CHANNEL_PX }}>
      <View
        ref={box}
        role="slider"
        tabIndex={0}
        aria-label={t('scoreEditor.heat')}
        aria-valuemin={0}
        aria-valuemax={HEATS.length - 1}
        aria-valuenow={at}
        aria-valuetext={shown.name}
        className="ring-focus hold cursor-ew-resize"
        {...pull}
      >
        <Svg width={CHANNEL_PX} height={HEIGHT_PX} aria-hidden>
          <Channel x={0} y={0} widthPx={CHANNEL_PX} heightPx={HEIGHT_PX} />
          <Score
            drawing={scoreDrawing(score, plannedSpans(score))}
            x={0}
            y={0}
            channelPx={CHANNEL_PX}
            pxPerS={HEIGHT_PX / Math.max(1, score.totalS)}
            topS={0}
            hasLabels={false}
          />
          <Line
            x1={handleX}
            x2={handleX}
            y1={HEIGHT_PX / 2 - 26}
            y2={HEIGHT_PX / 2 + 26}
            stroke="rgb(var(--now-in-channel))"
            strokeWidth={6}
            strokeLinecap="round"
          />
        </Svg>
      </View>
      <Text size="small" weight="bold" stretch="slim">
        {shown.name}
      </Text>
      <Text size="small" tone="ash" stretch="slim">
        {shown.does}
      </Text>
    </View>
  )
}
