import type { Kitchen } from 'contract/kitchen'
import type { RicePlanDay, RicePlanEdits, ServiceForecast } from 'contract/riceHouse'
import { plannedService } from 'core/rice/plan/planDay'
import { instantOf, localDay, localMinute } from 'core/time/localTime'
import { useState } from 'react'
import { Controller } from 'react-hook-form'
import { View } from 'react-native'
import { z } from 'zod'
import { kitchenNowMs } from '../../device/clock'
import { useDishes } from '../../book/useDishes'
import { Button } from '../../ui/Button'
import { Dial } from '../../ui/Dial'
import { FormField } from '../../ui/form/FormField'
import { typedWords } from '../../ui/form/typed'
import { useValidForm } from '../../ui/form/useValidForm'
import { Sheet } from '../../ui/Sheet'
import { Text } from '../../ui/Text'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'

type EditProps = { plan: RicePlanDay; onKeep: (edits: RicePlanEdits) => void; onClose: () => void }

/** A person knows better than the record: portions of one service. */
export function EditService({
  service,
  name,
  plan,
  kitchen,
  onKeep,
  onClose,
}: EditProps & { service: ServiceForecast; name: string; kitchen: Kitchen }) {
  const book = useDishes().data?.dishes ?? []
  const dishName = (id: string) => book.find((dish) => dish.id === id)?.shortName ?? id
  const t = useWords('rice')
  const { serviceId, forecast, dishes } = service
  const [portions, setPortions] = useState(Math.round(plannedService(service, plan.edits).portions))
  const { [serviceId]: _own, ...others } = plan.edits.portions
  const what = t('tomorrow.expected', { n: '' }).trim()
  return (
    <Sheet title={name} isOpen onClose={onClose}>
      <View className="gap-4">
        <Dial
          name={what}
          lessLabel={t('less', { what })}
          moreLabel={t('moreOf', { what })}
          value={portions}
          least={0}
          most={5000}
          unit={what}
          onChange={setPortions}
        />
        <Text tone="ash">
          {forecast
            ? t('tomorrow.record', {
                n: Math.round(forecast.expected),
                low: Math.round(forecast.low),
                high: Math.round(forecast.high),
              })
            : t('tomorrow.noRecord')}
        </Text>
        {(forecast?.notes ?? []).map((note) => (
          <Text key={note} tone="ash" stretch="slim">
            {t(`tomorrow.notes.${note}`)}
          </Text>
        ))}
        <Text stretch="slim">
          {dishes.map(({ dishId, share }) => `${dishName(dishId)} ${Math.round(share * portions)}`).join(' · ')}
        </Text>
        <Button
          kind="main"
          isTall
          label={t('tomorrow.save')}
          onPress={() => onKeep({ ...plan.edits, portions: { ...others, [serviceId]: portions } })}
        />
        {serviceId in plan.edits.portions && forecast && (
          <Button label={t('tomorrow.reset')} onPress={() => onKeep({ ...plan.edits, portions: others })} />
        )}
        <SoldOut serviceId={serviceId} plan={plan} kitchen={kitchen} onKeep={onKeep} />
      </View>
    </Sheet>
  )
}

/** Today's service that ran out: what it sold is then no measure of what was asked for. */
function SoldOut({
  serviceId,
  plan,
  kitchen,
  onKeep,
}: Omit<EditProps, 'onClose'> & { serviceId: string; kitchen: Kitchen }) {
  const t = useWords('rice')
  const nowMs = kitchenNowMs()
  const { [serviceId]: atMin, ...others } = plan.edits.soldOut ?? {}
  if (plan.day !== localDay(nowMs, kitchen.timeZone)) return null
  if (atMin !== undefined) {
    const time = formatTime(instantOf(plan.day, atMin, kitchen.timeZone), kitchen.timeZone)
    return (
      <Button label={t('tomorrow.soldOutAt', { time })} onPress={() => onKeep({ ...plan.edits, soldOut: others })} />
    )
  }
  const now = localMinute(nowMs, kitchen.timeZone)
  return (
    <Button
      label={t('tomorrow.soldOut')}
      detail={t('tomorrow.soldOutDetail')}
      onPress={() => onKeep({ ...plan.edits, soldOut: { ...others, [serviceId]: now } })}
    />
  )
}

const STEP_PERCENT = 5
const USUAL_PERCENT = 20

/** A regatta, a storm: by how much it moves what the record expects. */
export function EditEvent({ plan, onKeep, onClose }: EditProps) {
  const t = useWords('rice')
  const schema = z.object({ name: typedWords(t('tomorrow.eventFault'), 80), percent: z.number() })
  const form = useValidForm(schema, {
    name: plan.edits.event?.name ?? '',
    percent: plan.edits.event?.percent ?? USUAL_PERCENT,
  })
  const keep = form.handleSubmit((event) => onKeep({ ...plan.edits, event }))
  return (
    <Sheet title={t('tomorrow.event')} isOpen onClose={onClose}>
      <View className="gap-4">
        <FormField control={form.control} name="name" label={t('tomorrow.eventName')} maxLength={80} />
        <Text tone="ash">{t('tomorrow.eventBy')}</Text>
        <Controller
          control={form.control}
          name="percent"
          render={({ field }) => (
            <Dial
              name={t('tomorrow.eventBy')}
              lessLabel={t('less', { what: t('percent') })}
              moreLabel={t('moreOf', { what: t('percent') })}
              value={field.value}
              least={-100}
              most={400}
              step={STEP_PERCENT}
              unit={t('percent')}
              onChange={field.onChange}
            />
          )}
        />
        <Button kind="main" isTall label={t('tomorrow.save')} onPress={() => void keep()} />
        {plan.edits.event && (
          <Button label={t('tomorrow.reset')} onPress={() => onKeep({ ...plan.edits, event: null })} />
        )}
      </View>
    </Sheet>
  )
}
