import { useLocalSearchParams } from 'expo-router'
import { PairScreen } from '../people/PairScreen'

export default function Page() {
  const { code } = useLocalSearchParams<{ code?: string }>()
  return <PairScreen code={code ?? ''} />
}
