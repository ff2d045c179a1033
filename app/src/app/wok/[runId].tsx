import { useLocalSearchParams } from 'expo-router'
import { CookScreen } from '../../wok/CookScreen'

export default function Page() {
  const { runId } = useLocalSearchParams<{ runId: string }>()
  return <CookScreen key={runId} id={runId} />
}
