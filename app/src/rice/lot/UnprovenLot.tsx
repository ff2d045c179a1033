import { useState } from 'react'
import { TextInput, View } from 'react-native'
import { useSettings } from '../../device/settings'
import { Button } from '../../ui/Button'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { useWords } from '../../words/i18n'
import { sayOfLot } from '../useLots'
import type { LotPage } from './lotPage'

const MIN_LETTERS = 3

/** Cold, but the log does not prove that it was in time: the lead accepts it with a reason, or it is refused. */
export function UnprovenLot({ shown, kitchen }: LotPage) {
  const t = useWords('rice')
  const { cookId } = useSettings()
  const [why, setWhy] = useState('')
  const { lot, state } = shown
  if (state.judged !== 'unproven' || state.end) return null
  const lead = kitchen.staff.find((one) => one.id === cookId && one.role === 'lead')
  return (
    <View className="gap-2">
      <Notice kind="hazard" isSmall title={t('cool.unproven')}>
        {t('cool.unprovenDetail')}
      </Notice>
      <TextInput
        aria-label={t('cool.acceptWhy')}
        placeholder={t('cool.acceptWhy')}
        value={why}
        onChangeText={setWhy}
        maxLength={200}
        className="ring-focus min-h-14 rounded-lg border border-line bg-ground px-3 font-sans text-body text-rice"
      />
      <View className="flex-row gap-2">
        <Button
          label={t('cool.accept')}
          size="body"
          className="flex-1"
          disabledBecause={
            !lead ? t('cool.notLead') : why.trim().length < MIN_LETTERS ? t('cool.acceptWhy') : undefined
          }
          onPress={() => lead && sayOfLot(lot.id, { kind: 'accepted', reason: why.trim(), staffId: lead.id })}
        />
        <HoldButton
          label={t('cool.refuse')}
          className="flex-1"
          onHeld={() => sayOfLot(lot.id, { kind: 'refused', reason: 'cooling' })}
        />
      </View>
    </View>
  )
}
