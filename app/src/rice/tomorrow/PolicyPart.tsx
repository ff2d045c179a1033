import type { RicePolicy } from 'contract/riceHouse'
import type { ReactNode } from 'react'
import { View } from 'react-native'
import { Text } from '../../ui/Text'

/** The policy as it is being changed, and how. */
export type Change = { policy: RicePolicy; change: (part: Partial<RicePolicy>) => void }

/** A part of the policy under its name. */
export function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View className="gap-1">
      <Text tone="ash">{title}</Text>
      {children}
    </View>
  )
}
