import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../ui/lazyScreen'

const CookScreen = lazyScreen(['rice'], async () => (await import('../../screens')).CookScreen)

export default function Page() {
  const { runId } = useLocalSearchParams<{ runId: string }>()
  return <CookScreen key={runId} id={runId} />
}
