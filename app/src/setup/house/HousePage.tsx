import type { ReactNode } from 'react'
import { ScrollView, View } from 'react-native'
import { Frame } from '../../ui/Frame'
import { PageHeading } from '../../ui/PageHeading'

/** A page of the house: its heading and one column. */
export function HousePage({ title, bar, children }: { title: string; bar?: ReactNode; children: ReactNode }) {
  return (
    <Frame stage="setup" bar={bar}>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-3xl gap-3 self-center p-4">
          <PageHeading size="title" weight="bold" stretch="wide">
            {title}
          </PageHeading>
          {children}
        </View>
      </ScrollView>
    </Frame>
  )
}
