import type { Ingredient } from 'contract/ingredient'
import type { MeasureTools } from 'core/measure/practical'
import { DENSITY_DOUBT_FRACTION } from 'core/measure/plausible'
import { volumeUnitML } from 'core/measure/units'
import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Text } from '../../ui/Text'
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
  const [measure, setMeasure] = useState<(typeof MEASURES)[number]>('cup')
  const [count, setCount] = useState('1')
  const [form, setForm] = useState('')
  const [grams, setGrams] = useState('')
  const number = (text: string) => Number(text.replace(',', '.'))
  const isPieces = measure === 'each'
  const unitML = isPieces ? null : volumeUnitML(measure, tools.system)
  const each = number(grams) / number(count)
  const value = unitML === null ? each : each / unitML
  const isSaid = Number.isFinite(value) && value > 0
  const known = row.densities.find((one) => one.form === form.trim()) ?? row.densities[0]
  const isFar = !isPieces && known && Math.abs(value / known.gPerML - 1) > DENSITY_DOUBT_FRACTION
  const words = isPieces
    ? t('ingredient.weighEach', { g: each.toPrecision(3) })
    : t('ingredient.weighResult', { g: value.toPrecision(3) })
  const save = () => {
    const name = form.trim() || (isPieces ? 'each' : 'level')
    const rounded = Number(value.toPrecision(4))
    const densities = isPieces
      ? row.densities
      : [{ form: name, gPerML: rounded }, ...row.densities.filter((one) => one.form !== name)]
    const countSizes = isPieces
      ? [{ size: name, massG: rounded }, ...row.countSizes.filter((one) => one.size !== name)]
      : row.countSizes
    onSave({ densities, countSizes }, `${name} ${words}`)
    setGrams('')
  }
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
        <Field
          label={t('ingredient.weighCount')}
          value={count}
          inputMode="decimal"
          className="w-[110px]"
          onChange={setCount}
        />
        <Field
          label={t('ingredient.weighForm')}
          hint={t('ingredient.weighFormHint')}
          value={form}
          maxLength={40}
          className="min-w-[150px] flex-1"
          onChange={setForm}
        />
        <Field
          label={t('ingredient.weighGrams')}
          value={grams}
          inputMode="decimal"
          className="w-[150px]"
          onChange={setGrams}
        />
      </View>
      {isSaid && <Text weight="bold">{words}</Text>}
      {isSaid && isFar && <Text role="alert">{t('ingredient.weighFar', { known: known.gPerML })}</Text>}
      <Button
        label={t('ingredient.weighSave')}
        isBusy={isBusy}
        disabledBecause={isSaid ? undefined : t('ingredient.weighGrams')}
        onPress={save}
      />
    </View>
  )
}
