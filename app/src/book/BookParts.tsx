import type { Href } from 'expo-router'
import type { ReactNode } from 'react'
import { ScrollView, View } from 'react-native'
import { Frame } from '../ui/Frame'
import { PartsNav } from '../ui/PartsNav'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'

const PARTS = [
  { part: 'dishes', href: '/book' },
  { part: 'madeAhead', href: '/book/made-ahead' },
  { part: 'ingredients', href: '/book/ingredients' },
  { part: 'files', href: '/book/files' },
] as const satisfies readonly { part: string; href: Href }[]
type BookPart = (typeof PARTS)[number]['part']

/** A page of the book: its four parts on top, what it holds below. */
export function BookPage({ part, children, bar }: { part: BookPart | null; children: ReactNode; bar?: ReactNode }) {
  const t = useWords('book')
  return (
    <Frame stage="book" bar={bar}>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-4xl self-center p-4">
          <PageHeading size="title" weight="bold" stretch="wide">
            {t('title')}
          </PageHeading>
          <View className="mb-2">
            <PartsNav label={t('title')} of={PARTS} here={part} words={(one) => t(`parts.${one}`)} />
          </View>
          {children}
        </View>
      </ScrollView>
    </Frame>
  )
}

/** A heading within a page. */
export function Heading({ children }: { children: string }) {
  return (
    <Text role="heading" aria-level={2} size="step" weight="bold" className="mt-3">
      {children}
    </Text>
  )
}
