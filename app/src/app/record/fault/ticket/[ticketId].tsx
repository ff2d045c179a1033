import { useLocalSearchParams } from 'expo-router'
import { lazyScreen } from '../../../../ui/lazyScreen'

const FaultScreen = lazyScreen(['record'], async () => (await import('../../../../screens')).FaultScreen)

export default function Page() {
  const { ticketId } = useLocalSearchParams<{ ticketId: string }>()
  return <FaultScreen key={ticketId} suspect={{ kind: 'ticket', id: ticketId }} />
}
