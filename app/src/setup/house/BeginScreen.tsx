import { RULE_SETS } from 'core/safety/limits'
import type { RuleSet } from 'core/safety/limits'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { z } from 'zod'
import { useMay, useMe } from '../../people/me'
import { usePair } from '../../people/useDoor'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { useKitchen } from '../useKitchen'
import { HousePage } from './HousePage'
import { useBeginKitchen } from './useHouse'

/** An empty kitchen beside this one; this device moves into it. */
export function BeginScreen() {
  const t = useWords('setup')
  const router = useRouter()
  const me = useMe()
  const kitchen = useKitchen().data
  const isOwner = useMay('archive')
  const [ruleSet, setRuleSet] = useState<RuleSet>(kitchen?.ruleSet ?? 'us')
  const form = useValidForm(z.object({ name: z.string().trim().min(1, t('house.head.name')).max(120) }), { name: '' })
  const begin = useBeginKitchen()
  const pair = usePair()
  const problem = useProblemSentence(begin.error ?? pair.error)
  const { timeZone, locale } = Intl.DateTimeFormat().resolvedOptions()
  const go = form.handleSubmit(({ name }) =>
    begin.mutate(
      { name, timeZone, locale, currency: kitchen?.currency ?? 'USD', ruleSet },
      {
        onSuccess: ({ code }) => {
          form.reset({ name })
          const device = { name: me?.device.name ?? name, place: me?.device.place ?? '' }
          pair.mutate({ code, ...device }, { onSuccess: () => router.replace('/line') })
        },
      },
    ),
  )
  return (
    <HousePage title={t('house.begin.title')}>
      <Text tone="ash">{t('house.begin.how')}</Text>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      {isOwner && (
        <>
          <FormField control={form.control} name="name" label={t('house.head.name')} maxLength={120} />
          <OneOf
            name={t('house.begin.ruleSet')}
            of={RULE_SETS}
            chosen={ruleSet}
            words={(one) => t(`ruleSets.${one}`)}
            onChoose={setRuleSet}
          />
          <Text tone="ash">{t('ruleSetDetail')}</Text>
          <Button
            kind="main"
            isTall
            label={t('house.begin.go')}
            isBusy={begin.isPending || pair.isPending}
            onPress={() => void go()}
          />
        </>
      )}
    </HousePage>
  )
}
