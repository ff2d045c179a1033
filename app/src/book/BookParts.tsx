import type { Href } from 'expo-router'
import type { ReactNode } from 'react'
import { ScrollView, View } from 'react-native'
import { Frame } from '../ui/Frame'
import { PartsNav } from '../ui/PartsNav'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useIsWide } from '../ui/useIsWide'
import { useWords } from '../words/i18n'

const PARTS = [
  { part: 'dishes', href: '/book' },
  { part: 'madeAhead', href: '/book/made-ahead' },
  { part: 'ingredients', href: '/book/ingredients' },
  { part: 'files', href: '/book/files' },
] as const satisfies readonly { part: string; href: Href }[]
type BookPart = (typeof PARTS)[number]['part']

/** A page of the book: its four parts on top, what it holds below; on a wide screen it may take all the width, with a pane at the right. */
export function BookPage({
  part,
  children,
  bar,
  tools,
  side,
  isTable = false,
}: {
  part: BookPart | null
  children: ReactNode
  bar?: ReactNode
  /** Beside the parts on a wide screen. */
  tools?: ReactNode
  /** The right pane of a wide screen. */
  side?: ReactNode
  /** What it holds scrolls by itself. */
  isTable?: boolean
}) {
  const t = useWords('book')
  const isWide = useIsWide()
  const head = (
    <>
      <PageHeading size="title" weight="bold" stretch="wide">
        {t('title')}
      </PageHeading>
      <View className="mb-2 gap-2 md:flex-row md:flex-wrap md:items-center md:justify-between">
        <PartsNav label={t('title')} of={PARTS} here={part} words={(one) => t(`parts.${one}`)} />
        {isWide && tools}
      </View>
    </>
  )
  return (
    <Frame stage="book" bar={bar}>
      <View className="min-h-0 flex-1 flex-row">
        {isTable ? (
          <View className="min-h-0 min-w-0 flex-1 p-4">
            {head}
            {children}
          </View>
        ) : (
          <ScrollView tabIndex={0} className={`min-h-0 ${isWide && side ? 'w-[400px] flex-none' : 'flex-1'}`}>
            <View className="w-full p-4">
              {head}
              {children}
            </View>
          </ScrollView>
        )}
        {isWide && side !== undefined && <View className="min-h-0 min-w-0 flex-1 border-l border-edge">{side}</View>}
      </View>
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
