import { useMutation, useQueryClient } from '@tanstack/react-query'
import type { RestoredKitchen } from 'contract/archive'
import { Recovery } from 'contract/people'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { z } from 'zod'
import { getJson, sendJson } from '../device/http'
import { Kitchen } from 'contract/kitchen'
import { Button } from '../ui/Button'
import { FormField } from '../ui/form/FormField'
import { useValidForm } from '../ui/form/useValidForm'
import { Notice } from '../ui/Notice'
import { PageHeading } from '../ui/PageHeading'
import { useProblemSentence } from '../ui/states'
import { Text } from '../ui/Text'
import { ToastPlace } from '../ui/Toast'
import { useWords } from '../words/i18n'
import { FromFile } from './FromFile'
import { RestoredPaper } from './RestoredPaper'
import { useSignIn } from './useDoor'

/** A kitchen that has nobody yet: whoever opens it first answers for it, and gets a code on paper for a forgotten PIN. */
export function FirstOwnerScreen() {
  const t = useWords('people')
  const router = useRouter()
  const queries = useQueryClient()
  const [code, setCode] = useState<string | null>(null)
  const schema = z.object({
    name: z.string().trim().min(1, t('setup.nameFault')).max(120),
    pin: z.string().regex(/^\d{4,8}$/, t('setup.pinFault')),
  })
  const form = useValidForm(schema, { name: '', pin: '' })
  const signIn = useSignIn()
  const begin = useMutation({
    mutationFn: async (typed: { name: string; pin: string }) => {
      const made = await sendJson('POST', '/first-owner', typed, Recovery)
      const { staff } = await getJson('/kitchen', Kitchen)
      return { ...made, staffId: staff[0]?.id ?? '', pin: typed.pin }
    },
    onSuccess: (made) => {
      form.reset({ name: '', pin: '' })
      setCode(made.code)
      signIn.mutate({ staffId: made.staffId, pin: made.pin })
    },
  })
  const [restored, setRestored] = useState<RestoredKitchen | null>(null)
  const problem = useProblemSentence(begin.error ?? signIn.error)
  const takeRestored = (kitchen: RestoredKitchen) => {
    setRestored(kitchen)
    if (kitchen.owner) signIn.mutate({ staffId: kitchen.owner.staffId, pin: kitchen.owner.pin })
  }
  const goOn = () => {
    void queries.invalidateQueries()
    router.replace('/setup/first')
  }
  return (
    <View className="min-h-0 flex-1 bg-ground">
      <ScrollView tabIndex={0} className="min-h-0 flex-1" role="main">
        <View className="w-full max-w-xl gap-3 self-center p-4 pt-8">
          <PageHeading size="title" weight="bold" stretch="wide">
            {t('first.title')}
          </PageHeading>
          {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
          {restored && <RestoredPaper kitchen={restored} onDone={goOn} />}
          {!restored && code === null && (
            <>
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
            </>
          )}
          {code !== null && (
            <>
              <Text>{t('first.paper')}</Text>
              <Text size="title" weight="bold" stretch="wide">
                {code}
              </Text>
              <Button kind="main" isTall label={t('first.goOn')} detail={t('first.goOnDetail')} onPress={goOn} />
            </>
          )}
        </View>
      </ScrollView>
      <ToastPlace />
    </View>
  )
}
