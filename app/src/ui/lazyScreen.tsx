import { lazy, Suspense, type ComponentType } from 'react'
import { View } from 'react-native'
import { loadWords, type LaterWords } from '../words/i18n'

/**
 * A screen that is loaded with the other screens of its stage, as one file, when the stage is first opened, and with the
 * words it says, those of the wok always: what a stage shares among its own screens stays out of the first load of the
 * others.
 */
export function lazyScreen<Props extends object>(
  words: readonly LaterWords[],
  load: () => Promise<ComponentType<Props>>,
): ComponentType<Props> {
  const Screen = lazy(async () => {
    const [loaded] = await Promise.all([load(), loadWords(['wok', ...words])])
    return { default: loaded }
  })
  return function LazyScreen(props: Props) {
    return (
      <Suspense fallback={<View className="flex-1 bg-ground" />}>
        <Screen {...props} />
      </Suspense>
    )
  }
}
