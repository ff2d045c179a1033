import type { EventId } from 'contract/ids'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { formatTemp, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { sayOfLot } from '../useLots'
import type { LotPage } from './lotPage'

const SHOWN = 2

/** Odd readings are kept and shown, and count once somebody says so. */
export function DoubtfulReadings({ shown, kitchen }: LotPage) {
  const t = useWords('rice')
  const { lot, state } = shown
  const doubtful = state.readings.filter((one) => one.doubt !== null).slice(-SHOWN)
  return (
    <>
      {doubtful.map((one) => (
        <Notice
          key={one.eventId}
          kind="conflict"
          isSmall
          title={t('cool.reading', {
            temp: formatTemp(one, kitchen.readsIn),
            time: formatTime(one.atMs, kitchen.timeZone),
          })}
        >
          <View className="gap-1">
            <Text tone="inverse" stretch="slim">
              {one.doubt ? t(`cool.doubts.${one.doubt}`) : ''}
            </Text>
            <Button
              kind="inverse"
              size="body"
              label={t('cool.confirm')}
              onPress={() => sayOfLot(lot.id, { kind: 'confirmed', eventId: one.eventId as EventId })}
            />
          </View>
        </Notice>
      ))}
    </>
  )
}
