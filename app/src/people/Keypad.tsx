import { Pressable, View } from 'react-native'
import { openSound } from '../device/signal'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'

const FIGURES = ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const
export const MOST_FIGURES = 8
export const LEAST_FIGURES = 4

type KeypadProps = { pin: string; onChange: (pin: string) => void; onEnter: () => void; isBusy: boolean }

/** Keys for wet fingers, as on a telephone; a keyboard types as well. What was typed shows as beads only. */
export function Keypad({ pin, onChange, onEnter, isBusy }: KeypadProps) {
  const t = useWords('people')
  const type = (figure: string) => pin.length < MOST_FIGURES && onChange(pin + figure)
  return (
    <View className="gap-2">
      <View
        role="status"
        aria-label={t('who.typed', { count: pin.length })}
        className="h-8 flex-row justify-center gap-2 pt-2"
      >
        {Array.from({ length: Math.max(LEAST_FIGURES, pin.length) }, (_, i) => (
          <View
            key={i}
            className={`h-4 w-4 rounded-full border-2 border-rice ${i < pin.length ? 'bg-rice' : 'bg-transparent'}`}
          />
        ))}
      </View>
      <View className="flex-row flex-wrap justify-between gap-y-2">
        {FIGURES.map((figure) => (
          <Key key={figure} label={figure} onPress={() => type(figure)} />
        ))}
        <Key label={t('who.back')} isWord onPress={() => onChange(pin.slice(0, -1))} />
        <Key label="0" onPress={() => type('0')} />
        <Key
          label={isBusy ? t('who.entering') : t('who.enter')}
          isWord
          isMain={pin.length >= LEAST_FIGURES && !isBusy}
          onPress={onEnter}
        />
      </View>
    </View>
  )
}

type KeyProps = { label: string; isWord?: boolean; isMain?: boolean; onPress: () => void }

function Key({ label, isWord = false, isMain = false, onPress }: KeyProps) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      onPress={() => {
        openSound()
        onPress()
      }}
      className={`ring-focus h-[72px] w-[32%] items-center justify-center rounded-lg border ${isMain ? 'border-celadon bg-celadon' : 'border-line bg-ground active:bg-plate'}`}
    >
      <Text
        size={isWord ? 'step' : 'amount'}
        weight="bold"
        stretch={isWord ? 'slim' : 'narrow'}
        tone={isMain ? 'ink' : 'rice'}
      >
        {label}
      </Text>
    </Pressable>
  )
}
