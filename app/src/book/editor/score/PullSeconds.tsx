import { heldSeconds, PIN_SECONDS } from 'core/book/pins'
import UpDown from 'lucide-react-native/icons/chevrons-up-down'
import { useState } from 'react'
import { View } from 'react-native'
import { Icon } from '../../../ui/icons'
import { Text } from '../../../ui/Text'
import { formatClock } from '../../../words/format'
import { useWords } from '../../../words/i18n'

/** A finger's width is some ten seconds: fine enough for garlic, quick enough for rice. */
const PX_PER_S = 4
/** A finger that only rests does not pull [px]. */
const REST_PX = 6
const KEYS: Readonly<Record<string, number>> = {
  ArrowUp: -1,
  ArrowLeft: -1,
  ArrowDown: 1,
  ArrowRight: 1,
  PageUp: -10,
  PageDown: 10,
  Home: -PIN_SECONDS.most,
  End: PIN_SECONDS.most,
}

type PullSecondsProps = { name: string; atS: number; seconds: number; onSeconds: (seconds: number) => void }

/** When a thing goes in, and how long until the next: pulled down it lies longer, pulled up shorter; with the arrow keys too. */
export function PullSeconds({ name, atS, seconds, onSeconds }: PullSecondsProps) {
  const t = useWords('book')
  const [pull, setPull] = useState<{ fromY: number; fromS: number; seconds: number } | null>(null)
  const shown = heldSeconds(pull?.seconds ?? seconds)
  const say = (to: number) => {
    if (to !== heldSeconds(seconds)) onSeconds(to)
  }
  const hands = {
    onPointerDown: (event: PointerEvent) => {
      ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
      setPull({ fromY: event.clientY, fromS: shown, seconds: shown })
    },
    onPointerMove: (event: PointerEvent) => {
      if (!pull) return
      const byPx = event.clientY - pull.fromY
      setPull({ ...pull, seconds: heldSeconds(pull.fromS + (Math.abs(byPx) < REST_PX ? 0 : byPx / PX_PER_S)) })
    },
    onPointerUp: () => {
      if (pull) say(pull.seconds)
      setPull(null)
    },
    onPointerCancel: () => setPull(null),
    onKeyDown: (event: KeyboardEvent) => {
      const by = KEYS[event.key]
      if (by === undefined) return
      event.preventDefault()
      say(heldSeconds(shown + by))
    },
  } as object
  return (
    <View
      role="slider"
      tabIndex={0}
      aria-label={t('scoreEditor.seconds', { name })}
      aria-orientation="vertical"
      aria-valuemin={PIN_SECONDS.least}
      aria-valuemax={PIN_SECONDS.most}
      aria-valuenow={shown}
      aria-valuetext={t('scoreEditor.lasts', { seconds: shown })}
      className="ring-focus hold min-h-14 w-12 cursor-ns-resize justify-center"
      // The rows above and below would cover a ring around it.
      style={{ outlineOffset: -3 }}
      {...hands}
    >
      <Text stretch="narrow">{formatClock(atS)}</Text>
      <View className="flex-row items-center">
        <Text size="small" stretch="slim" weight={pull ? 'bold' : 'normal'} tone={pull ? 'rice' : 'ash'}>
          {t('scoreEditor.lasts', { seconds: shown })}
        </Text>
        <Icon as={UpDown} sizePx={14} />
      </View>
    </View>
  )
}
