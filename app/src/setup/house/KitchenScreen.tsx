import type { Kitchen } from 'contract/kitchen'
import { KitchenHead } from 'contract/house'
import { ladleUses } from 'core/book/ladleUses'
import { MEASURE_SYSTEMS } from 'core/measure/units'
import { useMemo, useState } from 'react'
import { useFieldArray, type UseFormReturn } from 'react-hook-form'
import { View } from 'react-native'
import { z } from 'zod'
import { useDishes } from '../../book/useDishes'
import { useMay } from '../../people/me'
import { Button } from '../../ui/Button'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { Loading, Problem, useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { ReadingsSection } from '../ReadingsSection'
import { RuleSetSection } from '../RuleSetSection'
import { useKitchen } from '../useKitchen'
import { figure } from './figures'
import { HousePage } from './HousePage'
import { useSaveHead, useSaveTools } from './useHouse'
import { typedGrams } from '../../ui/form/typedUnit'

/** What the kitchen is called and where it is, its rules, and what it measures with. */
export function KitchenScreen() {
  const t = useWords('setup')
  const kitchen = useKitchen()
  return (
    <HousePage title={t('house.head.title')}>
      {kitchen.data ? (
        <>
          <HeadForm kitchen={kitchen.data} />
          <RuleSetSection kitchen={kitchen.data} />
          <ReadingsSection kitchen={kitchen.data} />
          <ToolsForm key={kitchen.data.weighsIn} kitchen={kitchen.data} />
        </>
      ) : kitchen.error ? (
        <Problem error={kitchen.error} onRetry={() => void kitchen.refetch()} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </HousePage>
  )
}

function HeadForm({ kitchen }: { kitchen: Kitchen }) {
  const t = useWords('setup')
  const mayChange = useMay('rules')
  const { shape } = KitchenHead
  const schema = z.object({
    name: z.string().trim().min(1, t('house.head.name')).max(120),
    timeZone: z
      .string()
      .trim()
      .refine((zone) => shape.timeZone.safeParse(zone).success, t('house.head.timeZoneFault')),
    locale: z
      .string()
      .trim()
      .refine((tag) => shape.locale.safeParse(tag).success, t('house.head.localeFault')),
    currency: z
      .string()
      .trim()
      .regex(/^[A-Z]{3}$/, t('house.head.currencyFault')),
  })
  const { name, timeZone, locale, currency } = kitchen
  const form = useValidForm(schema, { name, timeZone, locale, currency })
  const save = useSaveHead()
  const problem = useProblemSentence(save.error)
  return (
    <View className="gap-2">
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <FormField control={form.control} name="name" label={t('house.head.name')} maxLength={120} />
      <FormField control={form.control} name="timeZone" label={t('house.head.timeZone')} maxLength={64} />
      {form.watch('timeZone') !== timeZone && <Text tone="ash">{t('house.head.zoneChanged')}</Text>}
      <FormField control={form.control} name="locale" label={t('house.head.locale')} maxLength={35} />
      <FormField control={form.control} name="currency" label={t('house.head.currency')} maxLength={3} />
      {mayChange && (
        <Button
          label={t('house.head.save')}
          isBusy={save.isPending}
          onPress={() =>
            void form.handleSubmit((head) =>
              save.mutate(head, {
                onSuccess: () => {
                  const before = { name, timeZone, locale, currency }
                  toast(t('house.head.saved'), () => {
                    save.mutate(before)
                    form.reset(before)
                  })
                  form.reset(head)
                },
              }),
            )()
          }
        />
      )}
    </View>
  )
}

/** The finest and the coarsest steps of a kitchen scale, in what it shows (common practice). */
const STEPS = { g: [0.1, 50], oz: [0.005, 2] } as const

function ToolsForm({ kitchen }: { kitchen: Kitchen }) {
  const t = useWords('setup')
  const { tools } = kitchen
  const mayChange = useMay('arrange')
  const [system, setSystem] = useState(tools.system)
  const unit = typedGrams(kitchen.weighsIn)
  const [leastStep, mostStep] = STEPS[kitchen.weighsIn]
  const schema = z.object({
    ladles: z.array(
      z.object({
        name: z.string().trim().min(1, t('house.head.ladleName')).max(60),
        volumeML: figure(5, 2000, t('house.head.ladleFault')),
      }),
    ),
    scale: figure(
      leastStep,
      mostStep,
      t('house.head.scaleFault', { least: leastStep, most: mostStep, unit: kitchen.weighsIn }),
    ),
  })
  const typed = {
    ladles: tools.ladles.map(({ name, volumeML }) => ({ name, volumeML: String(volumeML) })),
    scale: unit.show(tools.scaleResolutionG),
  }
  const form = useValidForm(schema, typed)
  const save = useSaveTools()
  const problem = useProblemSentence(save.error)
  return (
    <View className="mt-4 gap-2 border-t border-edge pt-3">
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <Text tone="ash">{t('house.head.system')}</Text>
      <OneOf
        name={t('house.head.system')}
        of={MEASURE_SYSTEMS}
        chosen={system}
        words={(one) => t(`systems.${one}`)}
        onChoose={setSystem}
      />
      <Ladles form={form} tools={tools} />
      <FormField
        control={form.control}
        name="scale"
        label={t('house.head.scale', { unit: kitchen.weighsIn })}
        inputMode="decimal"
      />
      <Button
        label={t('house.head.saveTools')}
        isBusy={save.isPending}
        disabledBecause={mayChange ? undefined : t('house.mayNot')}
        onPress={() =>
          void form.handleSubmit(({ ladles: kept, scale }) =>
            save.mutate(
              { ...tools, system, ladles: kept, scaleResolutionG: unit.read(scale, tools.scaleResolutionG) },
              {
                onSuccess: () => {
                  toast(t('house.head.saved'), () => {
                    save.mutate(tools)
                    setSystem(tools.system)
                    form.reset(typed)
                  })
                  form.reset({
                    ladles: kept.map((one) => ({ ...one, volumeML: String(one.volumeML) })),
                    scale: String(scale),
                  })
                },
              },
            ),
          )()
        }
      />
    </View>
  )
}

type TypedTools = { ladles: { name: string; volumeML: string }[]; scale: string }
type ReadTools = { ladles: { name: string; volumeML: number }[]; scale: number }
type LadlesProps = { form: UseFormReturn<TypedTools, unknown, ReadTools>; tools: Kitchen['tools'] }

/** The kitchen's ladles, each with how often the book measures by it. */
function Ladles({ form, tools }: LadlesProps) {
  const t = useWords('setup')
  const ladles = useFieldArray({ control: form.control, name: 'ladles' })
  const { data: book } = useDishes()
  const uses = useMemo(() => (book ? ladleUses(book.dishes, tools) : null), [book, tools])
  const usedBy = (name: string): string | undefined => {
    const count = uses?.get(name)?.length
    return count === undefined ? undefined : t('house.head.usedBy', { count })
  }
  return (
    <>
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('house.head.ladles')}
      </Text>
      {ladles.fields.map((field, i) => (
        <View key={field.id}>
          <View className="flex-row items-start gap-2">
            <FormField
              control={form.control}
              name={`ladles.${i}.name`}
              label={t('house.head.ladleName')}
              maxLength={60}
              className="flex-1"
            />
            <FormField
              control={form.control}
              name={`ladles.${i}.volumeML`}
              label={t('house.head.ladleML')}
              inputMode="decimal"
              className="w-28"
            />
            <Button
              size="body"
              label="−"
              accessibleName={t('house.head.removeLadle', { name: form.watch(`ladles.${i}.name`) })}
              className="mt-[22px] w-14"
              onPress={() => ladles.remove(i)}
            />
          </View>
          <Text size="small" tone="ash">
            {usedBy(form.watch(`ladles.${i}.name`))}
          </Text>
        </View>
      ))}
      <Button size="body" label={t('house.head.addLadle')} onPress={() => ladles.append({ name: '', volumeML: '' })} />
    </>
  )
}
