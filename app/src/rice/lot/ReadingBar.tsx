import { useState } from 'react'
import { Pressable, View } from 'react-native'
import { openSound } from '../../device/signal'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { useTyped } from '../../ui/useTyped'
import { useWords } from '../../words/i18n'

export type ReadingBarProps = {
  /** Where the dial stands until it is touched: what the model expects. */
  expectedC: number
  detail: string
  onLog: (tempC: number) => void
}

const LEAST_C = -40
const MOST_C = 250
const AROUND = [-3, -2, -1, 0, 1, 2, 3] as const

/** A temperature for wet hands: tap a neighbour, minus or plus; arrow keys and typed digits work as well. */
export function ReadingBar({ expectedC, detail, onLog }: ReadingBarProps) {
  const t = useWords('rice')
  const [dialled, setDialled] = useState<number | null>(null)
  const value = dialled ?? Math.round(expectedC)
  const set = (next: number) => {
    openSound()
    setDialled(Math.min(MOST_C, Math.max(LEAST_C, next)))
  }
  const typed = useTyped(set)
  const steps: Record<string, number> = {
    ArrowUp: 1,
    ArrowRight: 1,
    ArrowDown: -1,
    ArrowLeft: -1,
    PageUp: 10,
    PageDown: -10,
  }
  return (
    <View className="gap-2">
      <Text tone="ash" className="text-center">
        {t('cool.where')}
      </Text>
      <View
        role="spinbutton"
        tabIndex={0}
        aria-label={t('cool.where')}
        aria-valuenow={value}
        aria-valuemin={LEAST_C}
        aria-valuemax={MOST_C}
        aria-valuetext={`${value} ${t('celsius')}`}
        className="ring-focus flex-row items-end rounded-lg"
        {...{
          onKeyDown: (event: { key: string; preventDefault: () => void }) => {
            const by = steps[event.key]
            if (by !== undefined) set(value + by)
            else if (!typed(event.key)) return
            event.preventDefault()
          },
        }}
      >
        {AROUND.map((away) => (
          <Pressable
            key={away}
            tabIndex={-1}
            aria-hidden
            onPress={() => set(value + away)}
            className={`min-h-14 items-center justify-end border-b border-line ${away === 0 ? 'flex-[2]' : 'flex-1'}`}
          >
            <Text
              size={away === 0 ? 'action' : 'step'}
              weight={away === 0 ? 'bold' : 'semi'}
              stretch="narrow"
              tone={Math.abs(away) > 2 ? 'ash' : 'rice'}
            >
              {value + away}
            </Text>
            <View className={`w-0.5 ${away === 0 ? 'h-3 bg-celadon' : 'h-2 bg-ash'}`} />
          </Pressable>
        ))}
      </View>
      <View className="flex-row gap-2.5">
        <Button
          isTall
          label="−1"
          accessibleName={t('less', { what: t('celsius') })}
          className="w-[84px]"
          onPress={() => set(value - 1)}
        />
        <Button
          isTall
          kind="main"
          label={t('cool.log', { tempC: value })}
          detail={detail}
          className="min-w-0 flex-1"
          onPress={() => {
            setDialled(null)
            onLog(value)
          }}
        />
        <Button
          isTall
          label="+1"
          accessibleName={t('moreOf', { what: t('celsius') })}
          className="w-[84px]"
          onPress={() => set(value + 1)}
        />
      </View>
    </View>
  )
}
