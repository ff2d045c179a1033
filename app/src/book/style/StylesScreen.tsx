import { useMutation, useQueryClient } from '@tanstack/react-query'
import { StyleList } from 'contract/book'
import { COLOURS, METRICS, type Metric, type Style } from 'core/book/balance/style'
import { useState } from 'react'
import { Controller } from 'react-hook-form'
import { View } from 'react-native'
import { z } from 'zod'
import { sendJson } from '../../device/http'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Choices } from '../../ui/Choices'
import { FormField } from '../../ui/form/FormField'
import { FieldFault } from '../../ui/Field'
import { useValidForm } from '../../ui/form/useValidForm'
import { Notice } from '../../ui/Notice'
import { Loading, Problem, useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { BookPage, Heading } from '../BookParts'
import { useStyles } from '../useShelf'
import { readBand, typedBand, type TypedBand } from './bandText'

/** The bands that dishes are judged by, style by style. */
export function StylesScreen() {
  const t = useWords('book')
  const styles = useStyles()
  const [id, setId] = useState<string | null>(null)
  const list = styles.data
  const style = list?.styles.find((one) => one.id === id) ?? list?.styles[0]
  return (
    <BookPage part={null}>
      <Heading>{t('style.title')}</Heading>
      <Text tone="ash">{t('style.how')}</Text>
      {styles.isPending && <Loading what={t('loading')} />}
      {styles.error && !list && <Problem error={styles.error} onRetry={() => void styles.refetch()} />}
      {list && style && (
        <>
          <Choices
            label={t('style.which')}
            of={list.styles.map((one) => one.id)}
            chosen={style.id}
            words={(one) => list.styles.find((each) => each.id === one)?.name ?? one}
            onChoose={setId}
          />
          <Bands key={style.id} style={style} list={list} />
        </>
      )}
    </BookPage>
  )
}

function Bands({ style, list }: { style: Style; list: StyleList }) {
  const t = useWords('book')
  const queries = useQueryClient()
  const band = (metric: Metric) =>
    z.object({ least: z.string(), most: z.string() }).transform((typed, context) => {
      const read = readBand(metric, typed)
      if (typeof read !== 'string') return read
      const message = t(read === 'upside-down' ? 'style.fault' : 'style.notNumber')
      context.addIssue({ code: 'custom', path: ['most'], message })
      return z.NEVER
    })
  const bands = Object.fromEntries(METRICS.map((metric) => [metric, band(metric)])) as Record<
    Metric,
    ReturnType<typeof band>
  >
  const schema = z.object({ bands: z.object(bands), colours: z.array(z.enum(COLOURS)).min(1, t('style.noColour')) })
  const form = useValidForm(schema, { bands: typedBands(style), colours: [...style.colours] })
  const save = useMutation({
    mutationFn: (styles: Style[]) => sendJson('PUT', '/styles', { version: list.version, styles }, StyleList),
    onSuccess: () => toast(t('style.saved', { style: style.name })),
    onSettled: () => queries.invalidateQueries({ queryKey: ['book'] }),
  })
  const sentence = useProblemSentence(save.error)
  const press = form.handleSubmit((read) =>
    save.mutate(
      list.styles.map((one) => (one.id === style.id ? { ...one, ...read } : one)),
      { onSuccess: () => form.reset(undefined, { keepValues: true }) },
    ),
  )
  return (
    <View className="gap-2">
      {save.error && <Notice kind="conflict" isSmall title={sentence} />}
      <View className="flex-row flex-wrap gap-x-6 gap-y-2">
        {METRICS.map((metric) => (
          <View key={metric} className="w-[240px] flex-row gap-2">
            <FormField
              control={form.control}
              name={`bands.${metric}.least`}
              deps={[`bands.${metric}.most`]}
              label={t('style.least', { metric: t(`metrics.${metric}`) })}
              inputMode="decimal"
              maxLength={8}
              className="flex-1"
            />
            <FormField
              control={form.control}
              name={`bands.${metric}.most`}
              label={t('style.most', { metric: t(`metrics.${metric}`) })}
              inputMode="decimal"
              maxLength={8}
              className="flex-1"
            />
          </View>
        ))}
      </View>
      <Text size="small" tone="ash">
        {t('style.colours')}
      </Text>
      <Controller
        control={form.control}
        name="colours"
        render={({ field, fieldState }) => (
          <View>
            <View role="group" aria-label={t('style.colours')} className="-mx-2 flex-row flex-wrap">
              {COLOURS.map((one) => {
                const isIn = field.value.includes(one)
                return (
                  <Choice
                    key={one}
                    role="checkbox"
                    label={t(`colours.${one}`)}
                    isChosen={isIn}
                    onChoose={() =>
                      field.onChange(isIn ? field.value.filter((each) => each !== one) : [...field.value, one])
                    }
                  />
                )
              })}
            </View>
            <FieldFault fault={fieldState.error?.message} />
          </View>
        )}
      />
      <Button kind="main" label={t('style.save')} isBusy={save.isPending} onPress={() => void press()} />
    </View>
  )
}

const typedBands = (style: Style) =>
  Object.fromEntries(METRICS.map((metric) => [metric, typedBand(metric, style.bands[metric])])) as Record<
    Metric,
    TypedBand
  >
