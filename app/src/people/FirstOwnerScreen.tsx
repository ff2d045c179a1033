import { useMutation } from '@tanstack/react-query'
import type { RestoredKitchen } from 'contract/archive'
import { Recovery } from 'contract/people'
import { z } from 'zod'
import { getJson, sendJson } from '../device/http'
import { Kitchen } from 'contract/kitchen'
import { Button } from '../ui/Button'
import { FormField } from '../ui/form/FormField'
import { useValidForm } from '../ui/form/useValidForm'
import { Notice } from '../ui/Notice'
import { useProblemSentence } from '../ui/states'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import { DoorPage } from './DoorPage'
import { FromFile } from './FromFile'
import { keepPaper } from './paper'
import { useSignIn } from './useDoor'

/** A kitchen that has nobody yet: whoever opens it first answers for it, and gets a code on paper for a forgotten PIN. */
export function FirstOwnerScreen() {
  const t = useWords('people')
  const schema = z.object({
    name: z.string().trim().min(1, t('setup.nameFault')).max(120),
    pin: z.string().regex(/^\d{4,8}$/, t('setup.pinFault')),
  })
  const form = useValidForm(schema, { name: '', pin: '' })
  const signIn = useSignIn()
  const begin = useMutation({
    mutationFn: async (typed: { name: string; pin: string }) => {
      const made = await sendJson('POST', '/first-owner', typed, Recovery)
      keepPaper({ kind: 'code', code: made.code })
      const { staff } = await getJson('/kitchen', Kitchen)
      return { staffId: staff[0]?.id ?? '', pin: typed.pin }
    },
    onSuccess: (made) => {
      form.reset({ name: '', pin: '' })
      signIn.mutate({ staffId: made.staffId, pin: made.pin })
    },
  })
  const problem = useProblemSentence(begin.error ?? signIn.error)
  const takeRestored = (kitchen: RestoredKitchen) => {
    keepPaper({ kind: 'restored', kitchen })
    if (kitchen.owner) signIn.mutate({ staffId: kitchen.owner.staffId, pin: kitchen.owner.pin })
  }
  return (
    <DoorPage title={t('first.title')}>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <Text tone="ash">{t('first.how')}</Text>
      <FormField control={form.control} name="name" label={t('first.name')} maxLength={120} />
      <FormField control={form.control} name="pin" label={t('setup.pin')} inputMode="numeric" maxLength={8} />
      <Button
        kind="main"
        isTall
        label={t('first.begin')}
        isBusy={begin.isPending}
        onPress={() => void form.handleSubmit((typed) => begin.mutate(typed))()}
      />
      <FromFile onRestored={takeRestored} />
    </DoorPage>
  )
}
