import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../../ui/lazyScreen'

const FaultScreen = lazyScreen(['record'], async () => (await import('../../../../screens')).FaultScreen)

export default function Page() {
  const { day } = useLocalSearchParams<{ day: string }>()
  return <FaultScreen key={day} suspect={{ kind: 'evening', day }} />
}
