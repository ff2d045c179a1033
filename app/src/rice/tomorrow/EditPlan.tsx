import type { Kitchen } from 'contract/kitchen'
import type { RicePlanDay, RicePlanEdits, ServiceForecast } from 'contract/riceHouse'
import { plannedService } from 'core/rice/plan/planDay'
import { instantOf, localDay, localMinute } from 'core/time/localTime'
import { useState } from 'react'
import { TextInput, View } from 'react-native'
import { kitchenNowMs } from '../../device/clock'
import { useDishes } from '../../book/useDishes'
import { Button } from '../../ui/Button'
import { Dial } from '../../ui/Dial'
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

/** A regatta, a storm: by how much it moves what the record expects. */
export function EditEvent({ plan, onKeep, onClose }: EditProps) {
  const t = useWords('rice')
  const [name, setName] = useState(plan.edits.event?.name ?? '')
  const [percent, setPercent] = useState(plan.edits.event?.percent ?? 20)
  return (
    <Sheet title={t('tomorrow.event')} isOpen onClose={onClose}>
      <View className="gap-4">
        <TextInput
          aria-label={t('tomorrow.eventName')}
          placeholder={t('tomorrow.eventName')}
          value={name}
          onChangeText={setName}
          maxLength={80}
          className="ring-focus min-h-14 rounded-lg border border-line bg-ground px-3 font-sans text-body text-rice"
        />
        <Text tone="ash">{t('tomorrow.eventBy')}</Text>
        <Dial
          name={t('tomorrow.eventBy')}
          lessLabel={t('less', { what: t('percent') })}
          moreLabel={t('moreOf', { what: t('percent') })}
          value={percent}
          least={-100}
          most={400}
          step={STEP_PERCENT}
          unit={t('percent')}
          onChange={setPercent}
        />
        <Button
          kind="main"
          isTall
          label={t('tomorrow.save')}
          disabledBecause={name.trim() === '' ? t('tomorrow.eventName') : undefined}
          onPress={() => onKeep({ ...plan.edits, event: { name: name.trim(), percent } })}
        />
        {plan.edits.event && (
          <Button label={t('tomorrow.reset')} onPress={() => onKeep({ ...plan.edits, event: null })} />
        )}
      </View>
    </Sheet>
  )
}
