import { lazy, Suspense, type ComponentType } from 'react'
import { View } from 'react-native'

/**
 * A screen that is loaded with the other screens of its stage, as one file, when the stage is first opened: what a stage
 * shares among its own screens stays out of the first load of the others.
 */
export function lazyScreen<Props extends object>(load: () => Promise<ComponentType<Props>>): ComponentType<Props> {
  const Screen = lazy(async () => ({ default: await load() }))
  return function LazyScreen(props: Props) {
    return (
      <Suspense fallback={<View className="flex-1 bg-ground" />}>
        <Screen {...props} />
      </Suspense>
    )
  }
}
