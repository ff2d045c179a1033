import type { TempUnit, Temperature } from 'core/measure/temperature'
import { celsiusOf } from 'core/measure/temperature'
import { useState } from 'react'
import { Pressable, View } from 'react-native'
import type { Worked } from '../../device/worked'
import { openSound } from '../../device/signal'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { useTyped } from '../../ui/useTyped'
import { degrees, formatWholeTemp } from '../../words/format'
import { useWords } from '../../words/i18n'

export type ReadingBarProps = {
  readsIn: TempUnit
  /** What the figures to begin with stand around: the last reading. */
  aroundC: number
  /** What the model expects, as a mark beside the dial; none where the reading decides, and is measured without a hint. */
  expectedC: Worked<number>
  detail: string
  onLog: (reading: Temperature) => void
}

const RANGE = { C: { least: -40, most: 250 }, F: { least: -40, most: 482 } } as const
const AROUND = [-3, -2, -1, 0, 1, 2, 3] as const
/** Far figures first, fine ones after the first touch. */
const COARSE = { C: 5, F: 10 } as const

/**
 * A temperature for wet hands. It opens empty: a reading is measured, not agreed to. Tap a figure near it, then minus, plus or
 * a neighbour; arrow keys and typed digits work as well.
 */
export function ReadingBar({ readsIn, aroundC, expectedC, detail, onLog }: ReadingBarProps) {
  const t = useWords('rice')
  const [value, setValue] = useState<number | null>(null)
  const unit = t(`degrees.${readsIn}`)
  const decides = expectedC.kind === 'none'
  const { least, most } = RANGE[readsIn]
  const step = value === null ? COARSE[readsIn] : 1
  const middle = value ?? Math.round(degrees({ tempC: aroundC }, readsIn) / step) * step
  const set = (next: number) => {
    openSound()
    setValue(Math.min(most, Math.max(least, next)))
  }
  const typed = useTyped(set)
  const keys: Record<string, number> = {
    ArrowUp: 1,
    ArrowRight: 1,
    ArrowDown: -1,
    ArrowLeft: -1,
    PageUp: 10,
    PageDown: -10,
  }
  const log = () => {
    if (value === null) return
    setValue(null)
    onLog(readsIn === 'F' ? { tempC: celsiusOf(value), tempF: value } : { tempC: value, tempF: null })
  }
  return (
    <View className="gap-2">
      <View className="flex-row justify-center gap-3">
        <Text tone={decides ? 'rice' : 'ash'} weight={decides ? 'bold' : 'normal'}>
          {t(decides ? 'cool.decides' : 'cool.where')}
        </Text>
        {expectedC.kind === 'value' && (
          <Text tone="ash" stretch="narrow">
            {t('cool.model', { temp: formatWholeTemp(expectedC.value, readsIn) })}
          </Text>
        )}
      </View>
      <View
        role="spinbutton"
        tabIndex={0}
        aria-label={t('cool.where')}
        aria-valuenow={value ?? undefined}
        aria-valuemin={least}
        aria-valuemax={most}
        aria-valuetext={value === null ? t('cool.setIt') : `${value} ${unit}`}
        className="ring-focus flex-row items-end rounded-lg"
        {...{
          onKeyDown: (event: { key: string; preventDefault: () => void }) => {
            const by = keys[event.key]
            if (by !== undefined) set(middle + by)
            else if (!typed(event.key)) return
            event.preventDefault()
          },
        }}
      >
        {AROUND.map((away) => (
          <Figure
            key={away}
            value={middle + away * step}
            isSet={value !== null && away === 0}
            isFar={Math.abs(away) > 2}
            onPress={set}
          />
        ))}
      </View>
      <View className="flex-row gap-2.5">
        <Button
          isTall
          label="−1"
          accessibleName={t('less', { what: unit })}
          className="w-[84px]"
          onPress={() => set(middle - 1)}
        />
        <Button
          isTall
          kind="main"
          label={value === null ? t('cool.logEmpty') : t('cool.log', { temp: `${value} ${unit}` })}
          detail={detail}
          disabledBecause={value === null ? t('cool.setIt') : undefined}
          className="min-w-0 flex-1"
          onPress={log}
        />
        <Button
          isTall
          label="+1"
          accessibleName={t('moreOf', { what: unit })}
          className="w-[84px]"
          onPress={() => set(middle + 1)}
        />
      </View>
    </View>
  )
}

type FigureProps = { value: number; isSet: boolean; isFar: boolean; onPress: (value: number) => void }

function Figure({ value, isSet, isFar, onPress }: FigureProps) {
  return (
    <Pressable
      tabIndex={-1}
      aria-hidden
      onPress={() => onPress(value)}
      className={`min-h-14 items-center justify-end border-b border-line ${isSet ? 'flex-[2]' : 'flex-1'}`}
    >
      <Text
        size={isSet ? 'action' : 'step'}
        weight={isSet ? 'bold' : 'semi'}
        stretch="narrow"
        tone={isFar ? 'ash' : 'rice'}
      >
        {value}
      </Text>
      <View className={`w-0.5 ${isSet ? 'h-3 bg-celadon' : 'h-2 bg-ash'}`} />
    </Pressable>
  )
}
