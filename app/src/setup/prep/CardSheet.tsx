import type { CardRow } from 'contract/mise/cards'
import type { MisePolicy } from 'contract/mise/house'
import { withCard } from 'core/mise/house/changeHouse'
import { STEP_KINDS } from 'core/mise/need/cards'
import { useFieldArray, type Control } from 'react-hook-form'
import { View } from 'react-native'
import { z } from 'zod'
import { useRiceHouse } from '../../rice/useLots'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { FormField } from '../../ui/form/FormField'
import { useValidForm } from '../../ui/form/useValidForm'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { Sheet } from '../../ui/Sheet'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { capital } from '../../words/format'
import { useWords } from '../../words/i18n'
import { count, figure, figureOrNone } from '../house/figures'
import { cardOf, NEW_STEP, typedSteps, type ReadStep, type TypedStep } from './cardForm'
import { useKeepPrep } from './usePrep'
import { useMassWords } from '../useMassWords'
import { bulkUnitOf } from 'core/measure/scaleUnit'

const MOST_STEPS = 12
type Typed = { steps: TypedStep[]; keepH: string }
type Read = { steps: ReadStep[]; keepH: number | null }

/** A prep card: its steps in their order, and how long the thing keeps. */
export function CardSheet({ card, policy, onClose }: { card: CardRow; policy: MisePolicy; onClose: () => void }) {
  const { weighsIn } = useMassWords()
  const t = useWords('setup')
  const min = figure(0, 1440, t('prep.minFault'))
  const schema = z.object({
    steps: z.array(
      z.object({
        kind: z.enum(STEP_KINDS),
        handsOn: min,
        perBulk: min,
        wait: figure(0, 14_400, t('prep.waitFault')),
        hands: count(1, 10, t('prep.handsFault')),
        equipment: z.array(z.string()),
        skill: z.string().max(40),
      }),
    ),
    keepH: figureOrNone(0.1, 2400, t('prep.keepsFault')),
  })
  const form = useValidForm<Typed, Read>(schema, {
    steps: typedSteps(card, weighsIn),
    keepH: card.keepH === null ? '' : String(card.keepH),
  })
  const steps = useFieldArray({ control: form.control, name: 'steps' })
  const { keep, error, isPending } = useKeepPrep()
  const problem = useProblemSentence(error)
  const close = () => {
    form.reset()
    onClose()
  }
  const name = capital(card.name)
  const said = t('prep.saved', { name })
  const submit = form.handleSubmit((read) =>
    keep((house) => withCard(house, card.itemId, cardOf(card, read, weighsIn)), said, close),
  )
  return (
    <Sheet title={t('prep.cardOf', { name: card.name })} isOpen onClose={close}>
      <View className="gap-3 pb-2">
        {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
        {steps.fields.map((field, i) => (
          <StepFields
            key={field.id}
            control={form.control}
            at={i}
            policy={policy}
            step={form.watch(`steps.${i}`)}
            onChange={(step) => form.setValue(`steps.${i}`, step, { shouldDirty: true })}
            onRemove={steps.fields.length > 1 ? () => steps.remove(i) : undefined}
          />
        ))}
        {steps.fields.length < MOST_STEPS && (
          <Button size="body" label={t('prep.addStep')} onPress={() => steps.append(NEW_STEP)} />
        )}
        <FormField control={form.control} name="keepH" label={t('prep.keeps')} inputMode="decimal" />
        <Text tone="ash">{t('prep.keepsCaution')}</Text>
        <Button kind="main" label={t('prep.saveCard')} isBusy={isPending} onPress={() => void submit()} />
        {card.isOwn && (
          <Button
            label={t('prep.usualAgain')}
            onPress={() => keep((house) => withCard(house, card.itemId, null), said, close)}
          />
        )}
      </View>
    </Sheet>
  )
}

type StepProps = {
  control: Control<Typed, unknown, Read>
  at: number
  step: TypedStep
  policy: MisePolicy
  onChange: (step: TypedStep) => void
  onRemove: (() => void) | undefined
}

function StepFields({ control, at, step, policy, onChange, onRemove }: StepProps) {
  const { weighsIn } = useMassWords()
  const t = useWords('setup')
  const mise = useWords('mise')
  const vessels = useRiceHouse().data?.vessels ?? []
  const tools = [...policy.equipment, ...vessels.map((one) => ({ id: `vessel:${one.id}`, name: one.name }))]
  const hold = (id: string) => {
    const equipment = step.equipment.includes(id) ? step.equipment.filter((one) => one !== id) : [...step.equipment, id]
    onChange({ ...step, equipment })
  }
  const n = at + 1
  return (
    <View role="group" aria-label={t('prep.step', { n })} className="gap-2 border-t border-edge pt-2">
      <View className="flex-row items-center justify-between">
        <Text weight="bold">{t('prep.step', { n })}</Text>
        {onRemove && (
          <Button
            size="body"
            label="−"
            accessibleName={t('prep.removeStep', { n })}
            className="w-14"
            onPress={onRemove}
          />
        )}
      </View>
      <OneOf
        name={t('prep.kind')}
        of={STEP_KINDS}
        chosen={step.kind}
        words={(kind) => mise(`verbs.${kind}`)}
        onChoose={(kind) => onChange({ ...step, kind })}
      />
      <View className="flex-row gap-2">
        <FormField
          control={control}
          name={`steps.${at}.handsOn`}
          label={t('prep.handsOn')}
          inputMode="decimal"
          className="flex-1"
        />
        <FormField
          control={control}
          name={`steps.${at}.perBulk`}
          label={t('prep.perBulk', { unit: bulkUnitOf(weighsIn) })}
          inputMode="decimal"
          className="flex-1"
        />
      </View>
      <View className="flex-row gap-2">
        <FormField
          control={control}
          name={`steps.${at}.wait`}
          label={t('prep.wait')}
          inputMode="decimal"
          className="flex-1"
        />
        <FormField
          control={control}
          name={`steps.${at}.hands`}
          label={t('prep.hands')}
          inputMode="numeric"
          className="flex-1"
        />
      </View>
      <Text tone="ash">{t('prep.holds')}</Text>
      <View role="group" aria-label={t('prep.holds')} className="-ml-3 flex-row flex-wrap">
        {tools.map((one) => (
          <Choice
            key={one.id}
            role="checkbox"
            label={one.name}
            isChosen={step.equipment.includes(one.id)}
            onChoose={() => hold(one.id)}
          />
        ))}
      </View>
      <FormField control={control} name={`steps.${at}.skill`} label={t('prep.skill')} maxLength={40} />
    </View>
  )
}
