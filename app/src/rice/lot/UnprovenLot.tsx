import { View } from 'react-native'
import { z } from 'zod'
import { may } from 'core/people/roles'
import { useMe } from '../../people/me'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { useWords } from '../../words/i18n'
import { sayOfLot } from '../useLots'
import type { LotPage } from './lotPage'

const MIN_LETTERS = 3

/** Cold, but the log does not prove that it was in time: the lead accepts it with a reason, or it is refused. */
export function UnprovenLot({ shown }: LotPage) {
  const t = useWords('rice')
  const { person } = useMe() ?? { person: null }
  const form = useValidForm(z.object({ why: z.string().trim().min(MIN_LETTERS, t('cool.acceptWhy')).max(200) }), {
    why: '',
  })
  const { lot, state } = shown
  if (state.judged !== 'unproven' || state.end) return null
  const lead = person && may(person.role, 'accept') ? person : null
  return (
    <View className="gap-2">
      <Notice kind="hazard" isSmall title={t('cool.unproven')}>
        {t('cool.unprovenDetail')}
      </Notice>
      <FormField control={form.control} name="why" label={t('cool.acceptWhy')} maxLength={200} />
      <View className="flex-row gap-2">
        <Button
          label={t('cool.accept')}
          size="body"
          className="flex-1"
          disabledBecause={lead ? undefined : t('cool.notLead')}
          onPress={() =>
            void form.handleSubmit(({ why }) => {
              if (lead) sayOfLot(lot.id, { kind: 'accepted', reason: why, staffId: lead.id })
            })()
          }
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
