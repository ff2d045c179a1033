import type { ReactNode } from 'react'
import { ScrollView, View } from 'react-native'
import { PageHeading } from '../ui/PageHeading'
import { ToastPlace } from '../ui/Toast'

/** A page in front of the kitchen, without its ways: one column with a heading. */
export function DoorPage({ title, mark, children }: { title: string; mark?: ReactNode; children: ReactNode }) {
  return (
    <View className="min-h-0 flex-1 bg-ground">
      <ScrollView tabIndex={0} className="min-h-0 flex-1" role="main">
        <View className="w-full max-w-xl gap-3 self-center p-4 pt-8">
          {mark}
          <PageHeading size="title" weight="bold" stretch="wide">
            {title}
          </PageHeading>
          {children}
        </View>
      </ScrollView>
      <ToastPlace />
    </View>
  )
}
