import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../ui/lazyScreen'

const PairScreen = lazyScreen([], async () => (await import('../screens')).PairScreen)

export default function Page() {
  const { code } = useLocalSearchParams<{ code?: string }>()
  return <PairScreen code={code ?? ''} />
}
