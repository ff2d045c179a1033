import type { Kitchen } from 'contract/kitchen'
import type { StockRow } from 'contract/mise/stock'
import { View } from 'react-native'
import { useNowMs } from '../../device/clock'
import { download } from '../../device/download'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useMassWords } from '../../setup/useMassWords'

const MINUTE_MS = 60_000

/** Lots of an item, the one to use first on top, each with its label. */
export function Lots({ row, kitchen }: { row: StockRow; kitchen: Kitchen }) {
  const { mass } = useMassWords()
  const t = useWords('mise')
  const nowMs = useNowMs(MINUTE_MS)
  if (row.lots.length === 0) return null
  return (
    <View>
      <Text tone="ash" weight="semi">
        {t('count.lots')}
      </Text>
      <View role="list">
        {row.lots.map((lot) => {
          const isOld = lot.useByMs !== null && lot.useByMs < nowMs
          const time =
            lot.useByMs === null
              ? ''
              : `${formatDay(lot.useByMs, kitchen.timeZone)} ${formatTime(lot.useByMs, kitchen.timeZone)}`
          const values = { name: lot.name, mass: mass(lot.leftG), time }
          return (
            <View key={lot.id} role="listitem" className="flex-row items-center gap-2">
              <View className="min-w-0 flex-1">
                <Text weight={isOld ? 'bold' : 'normal'} stretch="slim">
                  {t(lot.useByMs === null ? 'count.lotNever' : 'count.lot', values)}
                </Text>
                {isOld && <Text weight="bold">{t('count.lotOld')}</Text>}
              </View>
              <Button
                size="body"
                label={t('doing.label')}
                accessibleName={`${t('doing.label')} ${lot.name}`}
                className="w-20"
                onPress={() => download(`/api/mise/lots/${lot.id}/label.pdf`, `${lot.name}-label.pdf`)}
              />
            </View>
          )
        })}
      </View>
      {row.looseG > 0.5 && <Text tone="ash">{t('count.loose', { mass: mass(row.looseG) })}</Text>}
    </View>
  )
}
