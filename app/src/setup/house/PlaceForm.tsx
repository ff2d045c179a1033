import type { RicePlace } from 'contract/riceHouse'
import { COOLING_PLACES } from 'core/rice/cooling/coolingPlace'
import { useState } from 'react'
import { View } from 'react-native'
import { z } from 'zod'
import { newId } from '../../device/ids'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { FormField } from '../../ui/form/FormField'
import { typedCelsius } from '../../ui/form/typedUnit'
import { useValidForm } from '../../ui/form/useValidForm'
import { useProblemSentence } from '../../ui/states'
import { formatTemp } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useReadsIn } from '../useKitchen'
import { said, SaveButton, TakeOut } from './RiceHouseParts'
import { count, figureOrNone } from './figures'
import { useSavePlace } from './useHouse'

const PLACES = ['bench', ...COOLING_PLACES, 'freezer'] as const
const LEAST_AIR_C = -40
const MOST_AIR_C = 60

/** Where trays stand, and how cold it is there. */
export function PlaceForm({ place, onDone }: { place: RicePlace | null; onDone: () => void }) {
  const t = useWords('setup')
  const [kind, setKind] = useState<RicePlace['kind']>(place?.kind ?? 'fridge')
  const [id] = useState(() => place?.id ?? newId())
  const readsIn = useReadsIn()
  const celsius = typedCelsius(readsIn)
  const written = (tempC: number) => formatTemp({ tempC }, readsIn)
  const schema = z.object({
    name: z.string().trim().min(1, t('house.rice.name')).max(120),
    air: figureOrNone(
      Number(celsius.show(LEAST_AIR_C)),
      Number(celsius.show(MOST_AIR_C)),
      t('house.rice.airFault', { least: written(LEAST_AIR_C), most: written(MOST_AIR_C) }),
    ),
    trays: count(0, 500, t('house.rice.traysFault')),
  })
  const form = useValidForm(schema, {
    name: place?.name ?? '',
    air: celsius.show(place?.airTempC),
    trays: String(place?.trays ?? 4),
  })
  const save = useSavePlace()
  const problem = useProblemSentence(save.error)
  const submit = form.handleSubmit(({ name, air, trays }) => {
    const draft = { name, kind, airTempC: air === null ? null : celsius.read(air, place?.airTempC), trays }
    const was = place ? placeDraft(place) : undefined
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
        name={t('house.rice.kind')}
        of={PLACES}
        chosen={kind}
        words={(one) => t(`house.rice.kinds.${one}`)}
        onChoose={setKind}
      />
      <FormField
        control={form.control}
        name="air"
        label={t('house.rice.air', { unit: `°${readsIn}` })}
        inputMode="decimal"
      />
      <FormField control={form.control} name="trays" label={t('house.rice.trays')} inputMode="numeric" />
      <SaveButton isBusy={save.isPending} onPress={() => void submit()} />
      {place && (
        <TakeOut
          name={place.name}
          path={`/rice/places/${place.id}`}
          onUndo={() => save.mutate({ id, draft: placeDraft(place), was: undefined })}
          onDone={onDone}
        />
      )}
    </View>
  )
}

const placeDraft = ({ name, kind, airTempC, trays }: RicePlace) => ({ name, kind, airTempC, trays })
