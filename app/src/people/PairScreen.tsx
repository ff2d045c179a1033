import { useRouter } from 'expo-router'
import { z } from 'zod'
import { useIsReachable } from '../device/network'
import { Button } from '../ui/Button'
import { FormField } from '../ui/form/FormField'
import { useValidForm } from '../ui/form/useValidForm'
import { Beads } from '../ui/icons'
import { Notice } from '../ui/Notice'
import { useProblemSentence } from '../ui/states'
import { Text } from '../ui/Text'
import { toast } from '../ui/Toast'
import { useWords } from '../words/i18n'
import { DoorPage } from './DoorPage'
import { usePair } from './useDoor'

const LEAST_SIGNS = 8

/** The way in for a device: the code that an owner shows, and a name by which the owner knows it. */
export function PairScreen({ code }: { code: string }) {
  const t = useWords('people')
  const router = useRouter()
  const isReachable = useIsReachable()
  const schema = z.object({
    code: z.string().trim().min(LEAST_SIGNS, t('pair.codeFault')),
    name: z.string().trim().min(1, t('pair.nameFault')).max(120),
    place: z.string().trim().max(120),
  })
  const form = useValidForm(schema, { code, name: '', place: '' })
  const pair = usePair()
  const problem = useProblemSentence(pair.error)
  return (
    <DoorPage title={t('pair.title')} mark={<Beads at={-1} sizePx={72} />}>
      <Text tone="ash">{t('pair.how')}</Text>
      {!isReachable && <Notice kind="conflict" isSmall title={t('pair.noNetwork')} />}
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <FormField control={form.control} name="code" label={t('pair.code')} maxLength={40} />
      <FormField control={form.control} name="name" label={t('pair.name')} hint={t('pair.nameHint')} maxLength={120} />
      <FormField control={form.control} name="place" label={t('pair.place')} maxLength={120} />
      <Button
        kind="main"
        isTall
        label={pair.isPending ? t('pair.entering') : t('pair.enter')}
        isBusy={pair.isPending}
        onPress={() =>
          void form.handleSubmit((typed) =>
            pair.mutate(typed, {
              onSuccess: ({ device }) => {
                toast(t('pair.isIn', { name: device.name }))
                router.replace('/line')
              },
            }),
          )()
        }
      />
    </DoorPage>
  )
}
