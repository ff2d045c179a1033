import { useRouter, type Href } from 'expo-router'
import { Pressable, View } from 'react-native'
import { leave } from './form/leave'
import { Text } from './Text'

/** The parts of one stage side by side; the one in hand is bold and underlined, never a hue alone. */
export function PartsNav<P extends string>(props: {
  label: string
  of: readonly { part: P; href: Href }[]
  here: P | null
  words: (part: P) => string
}) {
  const { label, of, here, words } = props
  const router = useRouter()
  return (
    <View role="navigation" aria-label={label} className="-mx-1.5 flex-row flex-wrap">
      {of.map(({ part, href }) => (
        <Pressable
          key={part}
          role="link"
          aria-current={part === here ? 'page' : undefined}
          onPress={() => leave(() => router.push(href))}
          className="ring-focus min-h-14 justify-center px-2"
        >
          <Text
            weight={part === here ? 'bold' : 'normal'}
            tone={part === here ? 'rice' : 'ash'}
            stretch="narrow"
            size="step"
            className={`border-b-[3px] pb-1 ${part === here ? 'border-rice' : 'border-transparent'}`}
          >
            {words(part)}
          </Text>
        </Pressable>
      ))}
    </View>
  )
}
