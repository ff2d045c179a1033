import { LOOSENESS, type Looseness } from 'core/rice/lot/looseness'
import { View } from 'react-native'
import { Button } from '../../../ui/Button'
import { Sheet } from '../../../ui/Sheet'
import { Text } from '../../../ui/Text'
import { toast } from '../../../ui/Toast'
import { useWords } from '../../../words/i18n'
import { sayOfLot } from '../../useLots'
import type { LotPage } from '../lotPage'

/** How well the grains of a lot come apart: one tap, with the way back. */
export function LoosenSheet({ shown, onClose }: LotPage & { onClose: () => void }) {
  const t = useWords('rice')
  const { id, name } = shown.lot
  const say = (looseness: Looseness) => {
    const [eventId] = sayOfLot(id, { kind: 'loosened', looseness })
    toast(t('lot.says.loosened', { how: t(`lot.looseness.${looseness}.name`) }), () =>
      sayOfLot(id, { kind: 'undone', eventId }),
    )
    onClose()
  }
  return (
    <Sheet title={t('lot.loosenTitle', { name })} isOpen onClose={onClose}>
      <View className="gap-2.5">
        <Text tone="ash">{t('lot.loosenHow')}</Text>
        {LOOSENESS.map((one) => (
          <Button
            key={one}
            isTall
            {...(one === shown.state.looseness && { kind: 'main' as const })}
            label={t(`lot.looseness.${one}.name`)}
            detail={t(`lot.looseness.${one}.about`)}
            onPress={() => say(one)}
          />
        ))}
      </View>
    </Sheet>
  )
}
