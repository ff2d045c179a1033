import { View } from 'react-native'
import { useIsReachable } from '../device/network'
import { useOutbox, type Parcel } from '../device/outbox'
import { RunEvents } from 'contract/run'
import { Notice } from '../ui/Notice'
import { NotKept, RefusedParcels } from '../ui/Notices'
import { useWords } from '../words/i18n'

/** That the rest was worked out again nobody said: it is sent like everything else, and not counted. */
const isWorkedOut = ({ kind, body }: Parcel): boolean =>
  kind === 'runEvents' && (RunEvents.safeParse(body).data?.events.every((event) => event.kind === 'retimed') ?? false)

/** What stands between this run and the kitchen: no network, a store that keeps nothing, an entry not taken. */
export function RunNotices({ runId }: { runId: string }) {
  const t = useWords('wok')
  const isReachable = useIsReachable()
  const parcels = useOutbox()
  const kept = parcels.filter((parcel) => parcel.refusal === null && !isWorkedOut(parcel))
  const isUnknown = kept.some((parcel) => parcel.kind === 'run' && parcel.subjectId === runId)
  return (
    <View role="status">
      {(!isReachable || isUnknown) && (
        <View className="px-2 pt-1">
          <Notice kind="conflict" isSmall title={isUnknown ? t('offlineFired') : t('offline', { n: kept.length })} />
        </View>
      )}
      <NotKept />
      <RefusedParcels parcels={parcels.filter((parcel) => parcel.refusal !== null && parcel.subjectId === runId)} />
    </View>
  )
}
