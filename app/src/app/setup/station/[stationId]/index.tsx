import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../../ui/lazyScreen'

const StationScreen = lazyScreen(['setup'], async () => (await import('../../../../screens')).StationScreen)

export default function Page() {
  const { stationId } = useLocalSearchParams<{ stationId: string }>()
  return <StationScreen key={stationId} id={stationId} />
}
