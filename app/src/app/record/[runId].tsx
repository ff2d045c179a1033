import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../ui/lazyScreen'

const RunScreen = lazyScreen(['record'], async () => (await import('../../screens')).RunScreen)

export default function Page() {
  const { runId } = useLocalSearchParams<{ runId: string }>()
  return <RunScreen key={runId} id={runId} />
}
