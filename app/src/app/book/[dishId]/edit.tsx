import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../ui/lazyScreen'

const EditorScreen = lazyScreen(['book'], async () => (await import('../../../screens')).EditorScreen)

export default function Page() {
  const { dishId, set, to } = useLocalSearchParams<{ dishId: string; set?: string; to?: string }>()
  const massG = Number(to)
  return (
    <EditorScreen
      key={dishId}
      id={dishId}
      preset={set !== undefined && massG > 0 ? { componentId: set, massG } : null}
    />
  )
}
