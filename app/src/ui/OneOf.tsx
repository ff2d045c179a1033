import { View } from 'react-native'
import { Choice } from './Choice'

type OneOfProps<T extends string | number | boolean | null> = {
  /** What is chosen, for those who hear it. */
  name: string
  of: readonly T[]
  /** Null while nothing is chosen, unless null is one of the answers. */
  chosen: T | null
  words: (one: T) => string
  onChoose: (one: T) => void
}

/** One answer of several, as wide as their words. */
export function OneOf<T extends string | number | boolean | null>(props: OneOfProps<T>) {
  const { name, of, chosen, words, onChoose } = props
  return (
    <View role="radiogroup" aria-label={name} className="-ml-3 flex-row flex-wrap">
      {of.map((one) => (
        <Choice
          key={String(one)}
          role="radio"
          label={words(one)}
          isChosen={one === chosen}
          onChoose={() => onChoose(one)}
        />
      ))}
    </View>
  )
}
