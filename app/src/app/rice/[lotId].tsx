import { useLocalSearchParams } from 'expo-router'
import { LotScreen } from '../../rice/lot/LotScreen'

export default function Page() {
  const { lotId } = useLocalSearchParams<{ lotId: string }>()
  return <LotScreen key={lotId} id={lotId} />
}
