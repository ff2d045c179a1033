import type { ReactNode } from 'react'
import { View } from 'react-native'
import { Diamond, SlashDisc, Triangle } from './icons'
import { Text } from './Text'

const ICONS = { allergy: SlashDisc, hazard: Triangle, conflict: Diamond } as const

/** Allergy, hazard or conflict: an inverse block with its sign and words, never a hue alone. */
export function Notice({
  kind,
  title,
  children,
  isSmall = false,
}: {
  kind: keyof typeof ICONS
  title: string
  children?: ReactNode
  isSmall?: boolean
}) {
  const Icon = ICONS[kind]
  return (
    <View
      className={`flex-row items-center rounded-md bg-inverse ${isSmall ? 'gap-1.5 px-1.5 py-1' : 'gap-3 px-3 py-2'}`}
    >
      <Icon sizePx={isSmall ? 18 : 36} color="rgb(var(--on-inverse))" />
      <View className="min-w-0 flex-1">
        <Text size={isSmall ? 'body' : 'step'} weight="bold" tone="inverse" stretch={isSmall ? 'narrow' : 'slim'}>
          {title}
        </Text>
        {typeof children === 'string' ? (
          <Text tone="inverse" stretch="slim">
            {children}
          </Text>
        ) : (
          children
        )}
      </View>
    </View>
  )
}
