import { View } from 'react-native'
import { Choice } from './Choice'
import { Text } from './Text'

/** One of several words, its question at the left. */
export function Choices<T extends string>(props: {
  label: string
  of: readonly T[]
  chosen: T
  words: (one: T) => string
  onChoose: (one: T) => void
}) {
  const { label, of, chosen, words, onChoose } = props
  return (
    <View className="flex-row flex-wrap items-center">
      <Text size="small" tone="ash" className="w-24">
        {label}
      </Text>
      <View role="radiogroup" aria-label={label} className="min-w-0 flex-1 flex-row flex-wrap">
        {of.map((one) => (
          <Choice key={one} role="radio" label={words(one)} isChosen={one === chosen} onChoose={() => onChoose(one)} />
        ))}
      </View>
    </View>
  )
}
