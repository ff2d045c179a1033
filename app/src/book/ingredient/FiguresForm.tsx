import type { Ingredient, KitchenIngredient } from 'contract/ingredient'
import { View } from 'react-native'
import { z } from 'zod'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { typedNumber, typedWords } from '../../ui/form/typed'
import { useValidForm } from '../../ui/form/useValidForm'
import { useWords } from '../../words/i18n'
import { Heading } from '../BookParts'

const FIGURES = [
  ['water', 'waterG', 'g'],
  ['protein', 'proteinG', 'g'],
  ['fat', 'fatG', 'g'],
  ['carbohydrate', 'carbohydrateG', 'g'],
  ['sugars', 'sugarsG', 'g'],
  ['fibre', 'fibreG', 'g'],
  ['alcohol', 'alcoholG', 'g'],
  ['sodium', 'sodiumMg', 'mg'],
  ['energy', 'energyKJ', 'kJ'],
] as const
/** The most that 100 g can hold: all of it, in its unit; sodium as pure salt, energy as pure fat. */
const MOST = { g: 100, mg: 40_000, kJ: 3_800 } as const
type FigureKey = (typeof FIGURES)[number][1]

export const MAX_SOURCE = 200

/** The figures of the label, editable together with where they come from. */
export function FiguresForm(props: {
  row: KitchenIngredient
  isBusy: boolean
  onSave: (changes: Partial<Ingredient>, onDone: () => void) => void
}) {
  const { row, isBusy, onSave } = props
  const t = useWords('book')
  const figures = Object.fromEntries(
    FIGURES.map(([, key, unit]) => [
      key,
      typedNumber(t('ingredient.figureFault', { most: MOST[unit], unit }), { most: MOST[unit] }),
    ]),
  ) as Record<FigureKey, ReturnType<typeof typedNumber>>
  const form = useValidForm(z.object({ ...figures, source: typedWords(t('ingredient.sourceFault'), MAX_SOURCE) }), {
    ...(Object.fromEntries(FIGURES.map(([, key]) => [key, String(row[key])])) as Record<FigureKey, string>),
    source: row.source,
  })
  const save = form.handleSubmit((read) =>
    onSave({ ...read, confidence: read.source === row.source ? row.confidence : 'high' }, () =>
      form.reset(undefined, { keepValues: true }),
    ),
  )
  return (
    <View className="gap-2">
      <Heading>{t('ingredient.composition')}</Heading>
      <View className="flex-row flex-wrap gap-2">
        {FIGURES.map(([word, key, unit]) => (
          <FormField
            key={key}
            control={form.control}
            name={key}
            label={`${t(`ingredient.${word}`)}, ${unit}`}
            inputMode="decimal"
            maxLength={8}
            className="w-[110px]"
          />
        ))}
      </View>
      <FormField control={form.control} name="source" label={t('ingredient.sourceField')} maxLength={MAX_SOURCE} />
      {form.formState.isDirty && (
        <Button kind="main" label={t('ingredient.save')} isBusy={isBusy} onPress={() => void save()} />
      )}
    </View>
  )
}
