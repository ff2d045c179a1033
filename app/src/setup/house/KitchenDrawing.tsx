import type { FirstStep } from 'core/house/firstKitchen'
import { Pressable, View } from 'react-native'
import Svg, { Path } from 'react-native-svg'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { DRAWING, MOST_TRAYS, SHAPES, THINGS, traysOf, type KitchenThing } from './kitchenShapes'

const MOST_WIDTH_PX = 480
const INK = 'rgb(var(--rice))'
const ROOM = 'rgb(var(--ash))'
const RICE = 'M38 222 Q82 250 126 222 Q82 200 38 222 Z'

/** What is said of a thing that is there; null where nobody has said yet that it is. */
export type KitchenSaid = Readonly<Record<KitchenThing, string | null>>
type DrawingProps = {
  said: KitchenSaid
  trays: number
  hasDish: boolean
  widthPx: number
  onOpen: (step: FirstStep) => void
}

/** The kitchen as far as it was entered: what is there in lines, what is not in dots; a tap opens what it is about. */
export function KitchenDrawing({ said, trays, hasDish, widthPx, onOpen }: DrawingProps) {
  const t = useWords('setup')
  const width = Math.min(MOST_WIDTH_PX, widthPx)
  const scale = width / DRAWING.width
  const { there, room } = traysOf(said.fridge === null ? 0 : Math.min(MOST_TRAYS, trays))
  return (
    <View className="self-center" style={{ width, height: DRAWING.height * scale }}>
      <View className="absolute">
        <Svg
          width={width}
          height={DRAWING.height * scale}
          viewBox={`0 0 ${DRAWING.width} ${DRAWING.height}`}
          aria-hidden
        >
          {THINGS.map((thing) => (
            <Drawn key={thing} lines={SHAPES[thing].lines} isThere={said[thing] !== null} />
          ))}
          <Drawn lines={there} isThere={said.fridge !== null} />
          <Drawn lines={room} isThere={false} />
          {hasDish && <Path d={RICE} fill={ROOM} opacity={0.5} />}
          <Path d={`M0 ${DRAWING.floorY} H${DRAWING.width}`} stroke={INK} strokeWidth={3} />
        </Svg>
      </View>
      {THINGS.map((thing) => {
        const { box, step, words } = SHAPES[thing]
        const text = said[thing] ?? t(`house.drawing.${thing}`)
        return (
          <Pressable
            key={thing}
            role="button"
            aria-label={text}
            onPress={() => onOpen(step)}
            className={`ring-focus absolute rounded-md ${AT[words]}`}
            style={{
              left: box.x * scale,
              top: box.y * scale,
              width: box.width * scale,
              height: box.height * scale,
              ...(words === 'right' && { paddingLeft: CLOCK_PX * scale }),
            }}
          >
            <Text
              size="small"
              stretch="narrow"
              weight={said[thing] === null ? 'normal' : 'bold'}
              tone={said[thing] === null ? 'ash' : 'rice'}
              className={words === 'right' ? '' : 'text-center'}
            >
              {text}
            </Text>
          </Pressable>
        )
      })}
    </View>
  )
}

/** So much of its box the clock itself takes. */
const CLOCK_PX = 50
const AT = {
  top: 'justify-start',
  middle: 'justify-center px-1.5',
  bottom: 'justify-end pb-1',
  right: 'justify-center',
} as const

function Drawn({ lines, isThere }: { lines: string; isThere: boolean }) {
  return (
    <Path
      d={lines}
      fill="none"
      stroke={isThere ? INK : ROOM}
      strokeWidth={isThere ? 2.4 : 1.6}
      {...(!isThere && { strokeDasharray: '4 4' })}
      strokeLinejoin="round"
      strokeLinecap="round"
    />
  )
}
