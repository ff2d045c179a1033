import { useVirtualizer, type VirtualizerOptions } from '@tanstack/react-virtual'
import { useRef, type ReactNode, type Ref } from 'react'
import { ScrollView, View } from 'react-native'

export type VirtualListProps<Item> = {
  items: readonly Item[]
  keyOf: (item: Item) => string
  /** About how high an item is [px]; it is measured once it is drawn. */
  estimatePx: (item: Item) => number
  render: (item: Item) => ReactNode
  header?: ReactNode
  footer?: ReactNode
  className?: string
}

const HEADER = '__header'
const FOOTER = '__footer'

/**
 * Moves the list to where the virtualizer wants it, when a row above turns out higher than was thought. The `scrollTo`
 * of a ScrollView takes x and y, not the browser's left and top, and would move the list to its start.
 */
const scrollToFn: VirtualizerOptions<HTMLElement, Element>['scrollToFn'] = (
  offsetPx,
  { adjustments = 0, behavior },
  { scrollElement },
) => scrollElement?.scroll({ top: offsetPx + adjustments, behavior: behavior ?? 'auto' })

/** A long list of which only what is seen is drawn; what stands before and after it scrolls with it. */
export function VirtualList<Item>(props: VirtualListProps<Item>) {
  const { items, keyOf, estimatePx, render, header, footer, className = '' } = props
  const scroll = useRef<ScrollView>(null)
  const count = items.length + 2
  // oxlint-disable-next-line react-hooks/incompatible-library -- the window of rows changes by scrolling, outside of React
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => (scroll.current?.getScrollableNode() as HTMLElement | undefined) ?? null,
    getItemKey: (i) => (i === 0 ? HEADER : i === count - 1 ? FOOTER : keyOf(items[i - 1]!)),
    estimateSize: (i) => (i === 0 || i === count - 1 ? 120 : estimatePx(items[i - 1]!)),
    overscan: 4,
    scrollToFn,
  })
  return (
    <ScrollView ref={scroll} tabIndex={0} className={`min-h-0 flex-1 ${className}`}>
      <View style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map((one) => (
          <View
            key={one.key}
            ref={virtual.measureElement as unknown as Ref<View>}
            {...({ dataSet: { index: one.index } } as object)}
            style={{ position: 'absolute', top: one.start, left: 0, right: 0 }}
          >
            {one.index === 0 ? header : one.index === count - 1 ? footer : render(items[one.index - 1]!)}
          </View>
        ))}
      </View>
    </ScrollView>
  )
}
