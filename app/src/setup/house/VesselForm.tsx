import type { RiceVessel } from 'contract/riceHouse'
import { METHODS, usualSteamGPerMin, type Method } from 'core/rice/cookMethod'
import { useState } from 'react'
import { View } from 'react-native'
import { z } from 'zod'
import { newId } from '../../device/ids'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { useProblemSentence } from '../../ui/states'
import { useWords } from '../../words/i18n'
import { said, SaveButton, TakeOut } from './RiceHouseParts'
import { count, figure } from './figures'
import { useSaveVessel } from './useHouse'

/** What rice is cooked in. */
export function VesselForm({ vessel, onDone }: { vessel: RiceVessel | null; onDone: () => void }) {
  const t = useWords('setup')
  const [method, setMethod] = useState<Method>(vessel?.method ?? 'cooker')
  const [id] = useState(() => vessel?.id ?? newId())
  const schema = z.object({
    name: z.string().trim().min(1, t('house.rice.name')).max(120),
    volumeL: figure(0.5, 500, t('house.rice.volumeFault')),
    many: count(1, 20, t('house.rice.countFault')),
  })
  const form = useValidForm(schema, {
    name: vessel?.name ?? '',
    volumeL: vessel ? String(vessel.volumeL) : '',
    many: String(vessel?.count ?? 1),
  })
  const save = useSaveVessel()
  const problem = useProblemSentence(save.error)
  const submit = form.handleSubmit(({ name, volumeL, many }) => {
    const steamGPerMin = vessel?.method === method ? vessel.steamGPerMin : usualSteamGPerMin(method)
    const draft = { name, method, volumeL, count: many, steamGPerMin }
    const was = vessel ? vesselDraft(vessel) : undefined
    const undo = was ? () => save.mutate({ id, draft: was, was: draft }) : undefined
    save.mutate(
      { id, draft, was },
      { onSuccess: () => said(t('house.rice.saved', { name }), undo, form.reset, onDone) },
    )
  })
  return (
    <View className="gap-3 pb-2">
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <FormField control={form.control} name="name" label={t('house.rice.name')} maxLength={120} />
      <OneOf
        name={t('house.rice.method')}
        of={METHODS}
        chosen={method}
        words={(one) => t(`house.rice.methods.${one}`)}
        onChoose={setMethod}
      />
      <FormField control={form.control} name="volumeL" label={t('house.rice.volume')} inputMode="decimal" />
      <FormField control={form.control} name="many" label={t('house.rice.count')} inputMode="numeric" />
      <SaveButton isBusy={save.isPending} onPress={() => void submit()} />
      {vessel && (
        <TakeOut
          name={vessel.name}
          path={`/rice/vessels/${vessel.id}`}
          onUndo={() => save.mutate({ id, draft: vesselDraft(vessel), was: undefined })}
          onDone={onDone}
        />
      )}
    </View>
  )
}

const vesselDraft = ({ name, method, volumeL, count: many, steamGPerMin }: RiceVessel) => ({
  name,
  method,
  volumeL,
  count: many,
  steamGPerMin,
})
