import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { formatTime } from '../../words/format'
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
      {doubtful.map(({ eventId, atMs, tempC, doubt }) => (
        <Notice
          key={eventId}
          kind="conflict"
          isSmall
          title={t('cool.reading', { tempC, time: formatTime(atMs, kitchen.timeZone) })}
        >
          <View className="gap-1">
            <Text tone="inverse" stretch="slim">
              {doubt ? t(`cool.doubts.${doubt}`) : ''}
            </Text>
            <Button
              kind="inverse"
              size="body"
              label={t('cool.confirm')}
              onPress={() => sayOfLot(lot.id, { kind: 'confirmed', eventId: eventId as never })}
            />
          </View>
        </Notice>
      ))}
    </>
  )
}
