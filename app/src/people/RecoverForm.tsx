import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Recovery } from 'contract/people'
import { View } from 'react-native'
import { z } from 'zod'
import { sendJson } from '../device/http'
import { Button } from '../ui/Button'
import { FormField } from '../ui/form/FormField'
import { useValidForm } from '../ui/form/useValidForm'
import { Notice } from '../ui/Notice'
import { useProblemSentence } from '../ui/states'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'

/** An owner comes back with the code on paper. The next code is shown once. */
export function RecoverForm({ onDone }: { onDone: () => void }) {
  const t = useWords('people')
  const queries = useQueryClient()
  const schema = z.object({
    code: z.string().trim().min(10, t('pair.codeFault')),
    pin: z.string().regex(/^\d{4,8}$/, t('setup.pinFault')),
  })
  const form = useValidForm(schema, { code: '', pin: '' })
  const recover = useMutation({
    mutationFn: (body: { code: string; pin: string }) => sendJson('POST', '/me/recover', body, Recovery),
    onSuccess: () => void queries.invalidateQueries(),
  })
  const problem = useProblemSentence(recover.error)
  if (recover.data)
    return (
      <View className="gap-2">
        <Text>{t('who.recovered')}</Text>
        <Text size="title" weight="bold" stretch="wide">
          {recover.data.code}
        </Text>
        <Button label={t('setup.save')} onPress={onDone} />
      </View>
    )
  return (
    <View className="gap-2">
      <Text tone="ash">{t('who.forgottenHow')}</Text>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <FormField control={form.control} name="code" label={t('who.paper')} maxLength={60} />
      <FormField control={form.control} name="pin" label={t('who.newPin')} inputMode="numeric" maxLength={8} />
      <Button
        label={t('who.recover')}
        isBusy={recover.isPending}
        onPress={() => void form.handleSubmit((typed) => recover.mutate(typed))()}
      />
    </View>
  )
}
