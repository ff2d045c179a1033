import { useMutation, useQueryClient } from '@tanstack/react-query'
import { StyleList } from 'contract/book'
import { COLOURS, METRICS, type Band, type Metric, type Style } from 'core/book/balance/style'
import { useState } from 'react'
import { View } from 'react-native'
import { sendJson } from '../../device/http'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Choices } from '../../ui/Choices'
import { Field } from '../../ui/Field'
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
  const [typed, setTyped] = useState(() => typedBands(style))
  const [colours, setColours] = useState(style.colours)
  const read = METRICS.map((metric) => [metric, readBand(metric, typed[metric])] as const)
  const isRead = read.every((one): one is readonly [Metric, Band] => typeof one[1] !== 'string')
  const save = useMutation({
    mutationFn: (styles: Style[]) => sendJson('PUT', '/styles', { version: list.version, styles }, StyleList),
    onSuccess: () => toast(t('style.saved', { style: style.name })),
    onSettled: () => queries.invalidateQueries({ queryKey: ['book'] }),
  })
  const sentence = useProblemSentence(save.error)
  const change = (metric: Metric, part: Partial<TypedBand>) =>
    setTyped((before) => ({ ...before, [metric]: { ...before[metric], ...part } }))
  const press = () => {
    if (!isRead) return
    const bands = Object.fromEntries(read) as Style['bands']
    save.mutate(list.styles.map((one) => (one.id === style.id ? { ...one, bands, colours: [...colours] } : one)))
  }
  return (
    <View className="gap-2">
      {save.error && <Notice kind="conflict" isSmall title={sentence} />}
      <View className="flex-row flex-wrap gap-x-6 gap-y-2">
        {read.map(([metric, band]) => {
          const name = t(`metrics.${metric}`)
          const fault =
            typeof band === 'string' ? t(band === 'upside-down' ? 'style.fault' : 'style.notNumber') : undefined
          return (
            <View key={metric} className="w-[240px] flex-row gap-2">
              <Field
                label={t('style.least', { metric: name })}
                value={typed[metric].least}
                inputMode="decimal"
                maxLength={8}
                className="flex-1"
                onChange={(least) => change(metric, { least })}
              />
              <Field
                label={t('style.most', { metric: name })}
                value={typed[metric].most}
                inputMode="decimal"
                maxLength={8}
                fault={fault}
                className="flex-1"
                onChange={(most) => change(metric, { most })}
              />
            </View>
          )
        })}
      </View>
      <Text size="small" tone="ash">
        {t('style.colours')}
      </Text>
      <View role="group" aria-label={t('style.colours')} className="-mx-2 flex-row flex-wrap">
        {COLOURS.map((one) => {
          const isIn = colours.includes(one)
          return (
            <Choice
              key={one}
              role="checkbox"
              label={t(`colours.${one}`)}
              isChosen={isIn}
              onChoose={() => setColours(isIn ? colours.filter((each) => each !== one) : [...colours, one])}
            />
          )
        })}
      </View>
      <Button
        kind="main"
        label={t('style.save')}
        isBusy={save.isPending}
        disabledBecause={!isRead ? t('style.lookAgain') : colours.length === 0 ? t('style.noColour') : undefined}
        onPress={press}
      />
    </View>
  )
}

const typedBands = (style: Style) =>
  Object.fromEntries(METRICS.map((metric) => [metric, typedBand(metric, style.bands[metric])])) as Record<
    Metric,
    TypedBand
  >
