import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Kitchen, type Waves } from 'contract/kitchen'
import { waveMinutes } from 'core/line/waves'
import { Controller, useFieldArray, useWatch } from 'react-hook-form'
import { ScrollView, View } from 'react-native'
import { sendJson } from '../../device/http'
import { clockText } from '../../mise/services/shifts'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { Frame } from '../../ui/Frame'
import { Notice } from '../../ui/Notice'
import { PageHeading } from '../../ui/PageHeading'
import { Loading, Problem, useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useIsWide } from '../../ui/useIsWide'
import { useWords } from '../../words/i18n'
import { useKitchen } from '../useKitchen'
import { NEW_SPAN, typedWaves, wavesSchema } from './wavesForm'

const WEEKDAYS = [1, 2, 3, 4, 5, 6, 7] as const
const MOST_SPANS = 20

/** The timetable of the kitchen's waves of orders. */
export function WavesScreen() {
  const t = useWords('setup')
  const kitchen = useKitchen()
  if (kitchen.data) return <WavesForm kitchen={kitchen.data} />
  return (
    <Frame stage="setup">
      {kitchen.error ? (
        <Problem error={kitchen.error} onRetry={() => void kitchen.refetch()} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </Frame>
  )
}

function WavesForm({ kitchen }: { kitchen: Kitchen }) {
  const t = useWords('setup')
  const isWide = useIsWide()
  const queries = useQueryClient()
  const schema = wavesSchema((key) => t(`waves.faults.${key}`))
  const form = useValidForm(schema, typedWaves(kitchen.waves))
  const { control } = form
  const spans = useFieldArray({ control, name: 'spans' })
  const typed = useWatch({ control })
  const save = useMutation({
    mutationFn: (waves: Waves) => sendJson('PUT', '/kitchen/waves', waves, Kitchen),
    onSuccess: (saved) => {
      queries.setQueryData(['kitchen'], saved)
      form.reset(typedWaves(saved.waves))
      toast(t('waves.saved'))
    },
  })
  const problem = useProblemSentence(save.error)
  const read = schema.safeParse(typed)
  const button = (
    <Button
      kind="main"
      isTall
      label={t('waves.save')}
      detail={t('waves.saveDetail')}
      isBusy={save.isPending}
      onPress={() => void form.handleSubmit((waves) => save.mutate(waves))()}
    />
  )
  return (
    <Frame stage="setup" bar={button}>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-5xl gap-3 self-center p-4">
          <PageHeading size="title" weight="bold" stretch="wide">
            {t('waves.title')}
          </PageHeading>
          <Text tone="ash">{t('waves.how')}</Text>
          {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
          <View className={isWide ? 'flex-row gap-8' : 'gap-4'}>
            <View className="min-w-0 flex-1 gap-4">
              {spans.fields.map((field, i) => (
                <View key={field.id} className="gap-2 border-t border-edge pt-3">
                  <Days control={control} index={i} />
                  <View className="flex-row flex-wrap items-start gap-2">
                    <FormField
                      control={control}
                      name={`spans.${i}.fromMin`}
                      label={t('waves.from')}
                      className="w-[84px]"
                      deps={[`spans.${i}.toMin`]}
                    />
                    <FormField control={control} name={`spans.${i}.toMin`} label={t('waves.to')} className="w-[84px]" />
                    <FormField
                      control={control}
                      name={`spans.${i}.everyMin`}
                      label={t('waves.every')}
                      inputMode="numeric"
                      className="w-[88px]"
                    />
                    <Button
                      size="body"
                      label="−"
                      accessibleName={t('waves.remove', { n: i + 1 })}
                      className="mt-[22px] w-14"
                      onPress={() => spans.remove(i)}
                    />
                  </View>
                </View>
              ))}
              {spans.fields.length < MOST_SPANS && (
                <Button
                  size="body"
                  label={t('waves.add')}
                  onPress={() => spans.append({ ...NEW_SPAN, weekdays: [...NEW_SPAN.weekdays] })}
                />
              )}
              <FormField
                control={control}
                name="stayMin"
                label={t('waves.stay')}
                inputMode="numeric"
                className="w-40"
              />
            </View>
            <View className="gap-4 md:w-[380px]">
              {read.success && <Week waves={read.data} />}
              {isWide && button}
            </View>
          </View>
        </View>
      </ScrollView>
    </Frame>
  )
}

type Control = ReturnType<typeof useValidForm<ReturnType<typeof typedWaves>, Waves>>['control']

function Days({ control, index }: { control: Control; index: number }) {
  const t = useWords('setup')
  return (
    <Controller
      control={control}
      name={`spans.${index}.weekdays`}
      render={({ field, fieldState }) => (
        <View>
          <View role="group" aria-label={t('waves.daysOf', { n: index + 1 })} className="-ml-3 flex-row flex-wrap">
            {WEEKDAYS.map((weekday) => (
              <Choice
                key={weekday}
                role="checkbox"
                className="w-1/4 md:w-auto"
                label={t(`waves.days.d${weekday}`)}
                isChosen={field.value.includes(weekday)}
                onChoose={() =>
                  field.onChange(
                    field.value.includes(weekday)
                      ? field.value.filter((one) => one !== weekday)
                      : [...field.value, weekday].sort(),
                  )
                }
              />
            ))}
          </View>
          {fieldState.error && <Text role="alert">{fieldState.error.message}</Text>}
        </View>
      )}
    />
  )
}

/** What the typed timetable comes to, day by day. */
function Week({ waves }: { waves: Waves }) {
  const t = useWords('setup')
  return (
    <View className="gap-2" aria-live="polite">
      {alike(waves).map(({ from, to, minutes }) => {
        const first = t(`waves.days.d${from}`)
        const day = from === to ? first : t('waves.span', { from: first, to: t(`waves.days.d${to}`) })
        return (
          <View key={from} className="gap-0.5 border-b border-edge pb-1">
            <Text weight="bold">
              {minutes.length === 0 ? t('waves.dayNone', { day }) : t('waves.day', { day, count: minutes.length })}
            </Text>
            {minutes.length > 0 && (
              <Text size="small" tone="ash" stretch="narrow" numberOfLines={3}>
                {minutes.map(clockText).join(' ')}
              </Text>
            )}
          </View>
        )
      })}
    </View>
  )
}

/** Days that follow each other and have the same waves, together. */
function alike(waves: Waves) {
  const groups: { from: (typeof WEEKDAYS)[number]; to: (typeof WEEKDAYS)[number]; minutes: number[] }[] = []
  for (const weekday of WEEKDAYS) {
    const minutes = waveMinutes(waves, weekday)
    const last = groups.at(-1)
    if (last && last.minutes.join() === minutes.join()) last.to = weekday
    else groups.push({ from: weekday, to: weekday, minutes })
  }
  return groups
}
