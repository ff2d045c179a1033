import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../../ui/lazyScreen'

const CalibrateScreen = lazyScreen(['setup'], async () => (await import('../../../../screens')).CalibrateScreen)

export default function Page() {
  const { stationId } = useLocalSearchParams<{ stationId: string }>()
  return <CalibrateScreen key={stationId} id={stationId} />
}
