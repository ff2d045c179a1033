import type { KitchenIngredient } from 'contract/ingredient'
import { likeNames } from 'core/book/lookUp'
import { slugOf } from 'core/book/resolve'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { Controller } from 'react-hook-form'
import { View } from 'react-native'
import { z } from 'zod'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field, FieldFault } from '../../ui/Field'
import { FormField } from '../../ui/form/FormField'
import { typedWords } from '../../ui/form/typed'
import { useValidForm } from '../../ui/form/useValidForm'
import { Notice } from '../../ui/Notice'
import { Sheet } from '../../ui/Sheet'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { bodyOf, useSaveIngredient } from './useSaveIngredient'

const MAX_LIKE = 8

/** A new row, its figures copied from one that is like it and marked weak until the label is read. */
export function AddIngredient(props: { rows: readonly KitchenIngredient[]; name: string; onClose: () => void }) {
  const { rows, onClose } = props
  const t = useWords('book')
  const router = useRouter()
  const [input, setAsked] = useState(props.name)
  const form = useValidForm(
    z.object({ name: typedWords(t('ingredient.nameFault')), fromId: z.string().min(1, t('ingredient.fromFault')) }),
    { name: props.name, fromId: '' },
  )
  const { save } = useSaveIngredient()
  const sentence = useProblemSentence(save.error)
  const like = likeNames(rows, input, MAX_LIKE)
  const add = form.handleSubmit(({ name, fromId }) => {
    const from = rows.find((row) => row.id === fromId)
    if (!from) return
    const taken = new Set(rows.map((row) => row.id))
    const wanted = slugOf(name)
    const id = taken.has(wanted) ? `${wanted}-own` : wanted
    const ingredient = {
      ...bodyOf(from),
      id,
      name,
      aliases: [],
      source: `like ${from.name}, until the label is read`,
      confidence: 'low' as const,
      areAllergensKnown: false,
      isReadyToEat: null,
    }
    save.mutate({ version: 0, ingredient }, { onSuccess: () => router.push(`/book/ingredients/${id}`) })
  })
  return (
    <Sheet title={t('ingredient.add')} isOpen onClose={onClose}>
      <View className="gap-3">
        <Text tone="ash">{t('ingredient.addLike')}</Text>
        <FormField control={form.control} name="name" label={t('ingredient.addName')} maxLength={120} />
        <Field label={t('ingredient.addFrom')} value={input} onChange={setAsked} />
        <Controller
          control={form.control}
          name="fromId"
          render={({ field, fieldState }) => (
            <View>
              <View role="radiogroup" aria-label={t('ingredient.addFrom')} className="flex-row flex-wrap">
                {like.map((row) => (
                  <Choice
                    key={row.id}
                    role="radio"
                    label={row.name}
                    isChosen={row.id === field.value}
                    onChoose={() => field.onChange(row.id)}
                  />
                ))}
              </View>
              <FieldFault fault={fieldState.error?.message} />
            </View>
          )}
        />
        {save.error && <Notice kind="conflict" isSmall title={sentence} />}
        <Button kind="main" label={t('ingredient.addDo')} isBusy={save.isPending} onPress={() => void add()} />
      </View>
    </Sheet>
  )
}
