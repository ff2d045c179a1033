import type { Ingredient } from 'contract/ingredient'
import type { MeasureTools } from 'core/measure/practical'
import { DENSITY_DOUBT_FRACTION } from 'core/measure/plausible'
import { volumeUnitML } from 'core/measure/units'
import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import { View } from 'react-native'
import { z } from 'zod'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { FormField } from '../../ui/form/FormField'
import { typedNumber } from '../../ui/form/typed'
import { typedGrams } from '../../ui/form/typedUnit'
import { useValidForm } from '../../ui/form/useValidForm'
import { Text } from '../../ui/Text'
import { useMassWords } from '../../setup/useMassWords'
import { useWords } from '../../words/i18n'
import { Heading } from '../BookParts'

const MEASURES = ['cup', 'tbsp', 'tsp', 'each'] as const

/** A level measure or some pieces on the scale: the gap in the table is filled and remembered. */
export function WeighOnce(props: {
  row: Ingredient
  tools: MeasureTools
  isBusy: boolean
  onSave: (changes: Pick<Ingredient, 'densities' | 'countSizes'>, what: string) => void
}) {
  const { row, tools, isBusy, onSave } = props
  const t = useWords('book')
  const { mass, weighsIn } = useMassWords()
  const [measure, setMeasure] = useState<(typeof MEASURES)[number]>('cup')
  const schema = z.object({
    count: typedNumber(t('ingredient.countFault'), { isAbove: true }),
    name: z.string().trim().max(40),
    massG: typedNumber(t('ingredient.weighFault', { unit: weighsIn }), { isAbove: true }),
  })
  const form = useValidForm(schema, { count: '1', name: '', massG: '' })
  const typed = schema.safeParse(useWatch({ control: form.control })).data
  const isPieces = measure === 'each'
  const unitML = isPieces ? null : volumeUnitML(measure, tools.system)
  const each = typed ? typedGrams(weighsIn).read(typed.massG) / typed.count : Number.NaN
  const value = unitML === null ? each : each / unitML
  const isSaid = Number.isFinite(value) && value > 0
  const known = row.densities.find((one) => one.form === typed?.name) ?? row.densities[0]
  const isFar = !isPieces && known && Math.abs(value / known.gPerML - 1) > DENSITY_DOUBT_FRACTION
  const words = isPieces
    ? t('ingredient.weighEach', { mass: mass(each) })
    : t('ingredient.weighResult', { g: value.toPrecision(3) })
  const save = form.handleSubmit(({ name: called }) => {
    const name = called || (isPieces ? 'each' : 'level')
    const rounded = Number(value.toPrecision(4))
    const densities = isPieces
      ? row.densities
      : [{ form: name, gPerML: rounded }, ...row.densities.filter((one) => one.form !== name)]
    const countSizes = isPieces
      ? [{ size: name, massG: rounded }, ...row.countSizes.filter((one) => one.size !== name)]
      : row.countSizes
    onSave({ densities, countSizes }, `${name} ${words}`)
    form.reset({ count: '1', name: called, massG: '' })
  })
  return (
    <View className="gap-2">
      <Heading>{t('ingredient.weighOnce')}</Heading>
      <Text size="small" tone="ash">
        {t('ingredient.weighHow')}
      </Text>
      <View role="radiogroup" aria-label={t('ingredient.weighMeasure')} className="-mx-2 flex-row flex-wrap">
        {MEASURES.filter((one) => one === 'each' || volumeUnitML(one, tools.system) !== null).map((one) => (
          <Choice
            key={one}
            role="radio"
            label={t(`ingredient.measures.${one}`)}
            isChosen={one === measure}
            onChoose={() => setMeasure(one)}
          />
        ))}
      </View>
      <View className="flex-row flex-wrap gap-2">
        <FormField
          control={form.control}
          name="count"
          label={t('ingredient.weighCount')}
          inputMode="decimal"
          className="w-[110px]"
        />
        <FormField
          control={form.control}
          name="name"
          label={t('ingredient.weighForm')}
          hint={t('ingredient.weighFormHint')}
          maxLength={40}
          className="min-w-[150px] flex-1"
        />
        <FormField
          control={form.control}
          name="massG"
          label={t('ingredient.weighGrams', { unit: weighsIn })}
          inputMode="decimal"
          className="w-[150px]"
        />
      </View>
      {isSaid && <Text weight="bold">{words}</Text>}
      {isSaid && isFar && <Text role="alert">{t('ingredient.weighFar', { known: known.gPerML })}</Text>}
      <Button label={t('ingredient.weighSave')} isBusy={isBusy} onPress={() => void save()} />
    </View>
  )
}
