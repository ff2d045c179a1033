import type { ReactNode } from 'react'
import { Pressable, View } from 'react-native'
import { useClockAheadS } from '../device/clock'
import { useIsReachable } from '../device/network'
import { dropParcel, isAside, isAskedAbout, sayNow, useOutbox, type Parcel } from '../device/outbox'
import { useStoreTrouble } from '../device/storage'
import { formatSpan } from '../words/format'
import { useWords } from '../words/i18n'
import { Notice } from './Notice'
import { useRefusal } from './states'
import { Text } from './Text'

/** No network, a clock far off, a full store, something the kitchen did not take: said once, on top of every screen. */
export function Notices() {
  const t = useWords('ui')
  const isReachable = useIsReachable()
  const aheadS = useClockAheadS()
  const parcels = useOutbox()
  const refused = parcels.filter((parcel) => parcel.refusal !== null)
  return (
    <View role="status" className="gap-1">
      {!isReachable && (
        <Strip title={t('noNetwork')}>{t('noNetworkDetail', { n: parcels.length - refused.length })}</Strip>
      )}
      {aheadS !== null && (
        <Strip title={t(aheadS > 0 ? 'clockFast' : 'clockSlow', { span: formatSpan(Math.abs(aheadS)) })} />
      )}
      <NotKept />
      {parcels.some(isAside) && (
        <Strip title={t('aside', { n: parcels.filter(isAside).length })}>{t('asideDetail')}</Strip>
      )}
      <RefusedParcels parcels={refused} />
    </View>
  )
}

/** What this device does not keep, and what to do: everything goes on, but a reload would lose it. */
export function NotKept() {
  const t = useWords('ui')
  const said = useStoreTrouble('said')
  const seen = useStoreTrouble('seen')
  const trouble = said ?? seen
  if (trouble === null) return null
  return (
    <Strip title={t(`notKept.${trouble}`)}>
      {`${t(said === null ? 'notKept.seen' : 'notKept.said')} ${t(`notKept.do.${trouble}`)}`}
    </Strip>
  )
}

function Strip({ title, children }: { title: string; children?: ReactNode }) {
  return (
    <View className="px-2 pt-1">
      <Notice kind="conflict" isSmall title={title}>
        {children}
      </Notice>
    </View>
  )
}

/**
 * What the kitchen did not take, one by one, so that the screen below stays in reach however many there are: why, and what
 * may be done with it. It is gone only when a person says so.
 */
export function RefusedParcels({ parcels }: { parcels: readonly Parcel[] }) {
  const t = useWords('ui')
  const refusal = useRefusal()
  const [first] = parcels
  if (!first?.refusal) return null
  return (
    <Strip title={parcels.length > 1 ? t('refusedTitleOf', { n: parcels.length }) : t('refusedTitle')}>
      <Text tone="inverse" stretch="slim">
        {refusal(first.refusal)}
      </Text>
      <View className="flex-row justify-end gap-2">
        {isAskedAbout(first) && <StripButton label={t('refusedNow')} onPress={() => sayNow(first.id)} />}
        <StripButton label={t('refusedDrop')} onPress={() => dropParcel(first.id)} />
      </View>
    </Strip>
  )
}

function StripButton({ label, onPress }: { label: string; onPress: () => void }) {
  return (
    <Pressable
      role="button"
      onPress={onPress}
      className="ring-focus min-h-14 items-center justify-center rounded-md border border-channel px-3"
    >
      <Text tone="inverse" weight="bold">
        {label}
      </Text>
    </Pressable>
  )
}
