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
  { part: 'now', href: '/mise' },
  { part: 'all', href: '/mise/all' },
  { part: 'ready', href: '/mise/ready' },
  { part: 'count', href: '/mise/count' },
  { part: 'services', href: '/mise/services' },
] as const satisfies readonly { part: string; href: Href }[]
export type MisePart = (typeof PARTS)[number]['part']

/** A page of the mise: its five parts on top, what it holds below; the thing to do under the thumb. */
export function MisePage({
  part,
  head,
  bar,
  isFull = false,
  side,
  children,
}: {
  part: MisePart
  /** A band on top, before the parts. */
  head?: ReactNode
  bar?: ReactNode
  /** Uses all the width there is. */
  isFull?: boolean
  /** The right pane of a wide screen; on a phone it follows below. */
  side?: ReactNode
  children: ReactNode
}) {
  const isWide = useIsWide()
  if (isWide && side !== undefined)
    return (
      <Frame stage="mise" bar={bar}>
        {head}
        <View className="min-h-0 flex-1 flex-row">
          <ScrollView tabIndex={0} className="min-h-0 flex-1">
            <View className="px-4 pb-4">
              <Parts part={part} />
              {children}
            </View>
          </ScrollView>
          <ScrollView tabIndex={0} className="min-h-0 w-[440px] flex-none border-l border-edge">
            <View className="px-4 pb-4">{side}</View>
          </ScrollView>
        </View>
      </Frame>
    )
  return (
    <Frame stage="mise" bar={bar}>
      {head}
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className={`w-full self-center px-4 pb-4 ${isFull ? '' : 'max-w-3xl'}`}>
          <Parts part={part} />
          {children}
          {side}
        </View>
      </ScrollView>
    </Frame>
  )
}

export function Parts({ part }: { part: MisePart }) {
  const t = useWords('mise')
  return <PartsNav label={t('title')} of={PARTS} here={part} words={(one) => t(`parts.${one}`)} />
}

/** The band on top: what is asked and how it stands at the left, a figure at the right. */
export function Head({
  title,
  detail,
  figure,
  figureDetail,
}: {
  title: string
  detail: string
  figure: string
  figureDetail: string
}) {
  return (
    <View className="flex-row items-center justify-between gap-3 border-b border-edge bg-plate px-4 py-2">
      <View className="min-w-0 flex-1">
        <PageHeading size="step" weight="bold" stretch="slim">
          {title}
        </PageHeading>
        <Text tone="ash" stretch="slim">
          {detail}
        </Text>
      </View>
      <View className="items-end">
        <Text size="title" weight="bold" stretch="narrow">
          {figure}
        </Text>
        <Text size="small" tone="ash" stretch="narrow">
          {figureDetail}
        </Text>
      </View>
    </View>
  )
}

export function Heading({ children, detail }: { children: string; detail?: string }) {
  return (
    <View className="mt-3 flex-row items-baseline justify-between gap-2">
      <Text role="heading" aria-level={2} weight="bold" tone="ash">
        {children}
      </Text>
      {detail !== undefined && (
        <Text size="small" tone="ash">
          {detail}
        </Text>
      )}
    </View>
  )
}
