import { useRouter } from 'expo-router'
import { ScrollView, View } from 'react-native'
import { Button } from '../../ui/Button'
import { Frame } from '../../ui/Frame'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { formatClock, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { readyAtMs } from '../shelf/nextTask'
import { LotHead } from './LotHead'
import type { LotPage } from './lotPage'
import { SpreadDials } from './SpreadDials'
import { useSpread } from './useSpread'
import { useMassWords } from '../../setup/useMassWords'

/** A load on the heat: the time to go, then its weight and where it is spread. */
export function CookingLot(page: LotPage) {
  const { shown, kitchen, house, nowMs } = page
  const { bulk } = useMassWords()
  const t = useWords('rice')
  const router = useRouter()
  const isWide = useIsWide()
  const { lot } = shown
  const readyMs = readyAtMs(shown)
  const leftS = readyMs === null ? 0 : (readyMs - nowMs) / 1000
  const spread = useSpread(page)
  const vessel = house.vessels.find((one) => one.id === lot.load?.vesselId)
  const button = (
    <Button
      kind={leftS > 60 ? 'plain' : 'main'}
      isTall
      label={t('cooking.spread', { mass: bulk(spread.massG, 2) })}
      detail={spread.detail}
      disabledBecause={spread.refusal}
      onPress={() => {
        spread.say()
        router.push('/rice')
      }}
    />
  )
  return (
    <Frame stage="rice" bar={button}>
      <LotHead
        title={`${lot.name}, ${t('stages.cooking')}`}
        about={
          lot.load
            ? t('cooking.load', {
                rice: bulk(lot.load.dryMassG, 2),
                water: bulk(lot.load.waterG, 2),
                vessel: vessel?.name ?? '',
              })
            : t(`lot.${lot.origin === 'table' ? 'table' : 'bought'}`)
        }
        big={readyMs === null ? '' : formatTime(readyMs, kitchen.timeZone)}
        small={readyMs === null ? '' : t('cooking.ready')}
      />
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-2xl gap-4 self-center p-4">
          {lot.load && (
            <View>
              <Text size="action" weight="bold" stretch="narrow" aria-live="off">
                {leftS > 0 ? t('cooking.left', { time: formatClock(leftS) }) : t('cooking.readyNow')}
              </Text>
              <Text tone="ash">{t('cooking.steam')}</Text>
            </View>
          )}
          <SpreadDials {...page} spread={spread} />
          {isWide && button}
        </View>
      </ScrollView>
    </Frame>
  )
}
