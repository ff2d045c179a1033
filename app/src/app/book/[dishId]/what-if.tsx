import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../ui/lazyScreen'

const WhatIfScreen = lazyScreen(['book'], async () => (await import('../../../screens')).WhatIfScreen)

export default function Page() {
  const { dishId, station } = useLocalSearchParams<{ dishId: string; station?: string }>()
  return <WhatIfScreen key={`${dishId} ${station ?? ''}`} id={dishId} stationId={station ?? null} />
}
