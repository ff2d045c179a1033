import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../ui/lazyScreen'

const FaultScreen = lazyScreen(['record'], async () => (await import('../../../screens')).FaultScreen)

export default function Page() {
  const { runId } = useLocalSearchParams<{ runId: string }>()
  return <FaultScreen key={runId} suspect={{ kind: 'run', id: runId }} />
}
