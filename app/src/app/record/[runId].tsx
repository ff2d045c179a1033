import { useLocalSearchParams } from 'expo-router'
import { RunScreen } from '../../record/RunScreen'

export default function Page() {
  const { runId } = useLocalSearchParams<{ runId: string }>()
  return <RunScreen key={runId} id={runId} />
}
