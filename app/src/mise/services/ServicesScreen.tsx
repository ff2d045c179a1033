import type { MisePlan } from 'contract/mise/plan'
import { useState } from 'react'
import { View } from 'react-native'
import { download } from '../../device/download'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { useProblemSentence } from '../../ui/states'
import { PageHeading } from '../../ui/PageHeading'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { formatDay, formatMoney, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Heading, MisePage } from '../MisePage'
import { useDrawPlan } from '../useMise'
import type { Mise } from '../useKitchenPlan'
import { WithMise } from '../WithMise'
import { DayLine } from './DayLine'
import { HouseSection } from './HouseSection'
import { TroubleSection } from './TroubleSection'
import { useMassWords } from '../../setup/useMassWords'

/** Services to come: draw their plans, what to buy, what changed, and who and what there is. */
export function ServicesScreen() {
  return <WithMise>{(mise) => <Services mise={mise} />}</WithMise>
}

function Services({ mise }: { mise: Mise }) {
  const t = useWords('mise')
  const isWide = useIsWide()
  const undrawn = mise.plans.find((plan) => plan.drawn === null)
  return (
    <MisePage
      part="services"
      bar={undrawn && <DrawNext mise={mise} plan={undrawn} />}
      side={
        <>
          {mise.next && <Buy mise={mise} plan={mise.next} />}
          <TroubleSection mise={mise} />
          <HouseSection mise={mise} />
        </>
      }
    >
      <PageHeading size="title" weight="bold" stretch="slim">
        {t('services.title')}
      </PageHeading>
      <Text tone="ash">{t('services.how')}</Text>
      {isWide && <DayLine mise={mise} />}
      <View role="list">
        {mise.plans.map((plan) => (
          <Service key={plan.id} mise={mise} plan={plan} />
        ))}
      </View>
    </MisePage>
  )
}

function DrawNext({ mise, plan }: { mise: Mise; plan: MisePlan }) {
  const t = useWords('mise')
  const draw = useDrawPlan()
  const zone = mise.kitchen.timeZone
  const values = { service: plan.serviceName, day: formatDay(plan.fromMs, zone), time: formatTime(plan.fromMs, zone) }
  return (
    <Button
      isTall
      kind="main"
      label={t('services.draw')}
      detail={t('services.name', values)}
      isBusy={draw.isPending}
      onPress={() => draw.mutate({ id: plan.id, version: plan.version })}
    />
  )
}

function Service({ mise, plan }: { mise: Mise; plan: MisePlan }) {
  const t = useWords('mise')
  const draw = useDrawPlan()
  const problem = useProblemSentence(draw.error)
  const zone = mise.kitchen.timeZone
  const { drawn } = plan
  const portions = (drawn?.portions ?? []).reduce((sum, one) => sum + one.portions, 0)
  const name = t('services.name', {
    service: plan.serviceName,
    day: formatDay(plan.fromMs, zone),
    time: formatTime(plan.fromMs, zone),
  })
  return (
    <View role="listitem" className="gap-2 border-b border-edge py-2">
      <View className="flex-row items-center gap-3">
        <View className="min-w-0 flex-1">
          <Text size="step" weight="bold" stretch="slim">
            {name}
          </Text>
          <Text tone="ash" stretch="slim">
            {drawn
              ? t('services.drawn', { time: formatTime(drawn.drawnAtMs, zone), n: drawn.tasks.length, portions })
              : t('services.notDrawn')}
          </Text>
        </View>
        <Button
          size="body"
          label={drawn ? t('services.again') : t('services.draw')}
          accessibleName={`${drawn ? t('services.again') : t('services.draw')}: ${name}`}
          isBusy={draw.isPending}
          className="w-32"
          onPress={() => draw.mutate({ id: plan.id, version: plan.version })}
        />
      </View>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      {drawn && portions === 0 && <Notice kind="conflict" isSmall title={t('services.nothing')} />}
      {drawn?.faults.map((fault) => (
        <Notice
          key={`${fault.itemId} ${fault.name}`}
          kind="conflict"
          isSmall
          title={t(`services.fault.${fault.why}`, { name: fault.name })}
        />
      ))}
      {drawn && (
        <View className="flex-row gap-2">
          {(['ics', 'pdf'] as const).map((type) => (
            <Button
              key={type}
              size="body"
              label={t(`services.${type}`)}
              accessibleName={`${t(`services.${type}`)}: ${name}`}
              className="min-w-0 flex-1 md:max-w-[160px]"
              onPress={() => download(`/api/mise/plans/${plan.id}/plan.${type}`, `okazu-prep-${plan.id}.${type}`)}
            />
          ))}
        </View>
      )}
    </View>
  )
}

function Buy({ mise, plan }: { mise: Mise; plan: MisePlan }) {
  const { mass } = useMassWords()
  const t = useWords('mise')
  const [isAll, setIsAll] = useState(false)
  const buy = plan.drawn?.buy ?? []
  const SHOWN = 6
  const shown = isAll ? buy : buy.slice(0, SHOWN)
  return (
    <View>
      <Heading>{t('services.buy')}</Heading>
      {buy.length === 0 && <Text>{t('services.buyNone')}</Text>}
      <View role="list">
        {shown.map((line) => (
          <View
            key={line.ingredientId}
            role="listitem"
            className="min-h-11 flex-row items-center gap-3 border-b border-edge"
          >
            <View className="min-w-0 flex-1">
              <Text weight="semi" stretch="slim">
                {line.name}
              </Text>
              <Text tone="ash" stretch="slim">
                {t('services.buyNeed', { mass: mass(line.neededG) })}
              </Text>
            </View>
            <View className="items-end">
              <Text weight="bold" stretch="narrow">
                {line.packs === null
                  ? mass(line.buyG)
                  : t('services.buyLine', { packs: line.packs, pack: line.packName ?? '' })}
              </Text>
              {line.costMinor !== null && (
                <Text tone="ash" stretch="narrow">
                  {formatMoney(line.costMinor, mise.kitchen.currency)}
                </Text>
              )}
            </View>
          </View>
        ))}
      </View>
      <View className="mt-2 flex-row gap-2">
        {buy.length > SHOWN && !isAll && (
          <Button size="body" label={`+ ${buy.length - SHOWN}`} className="w-20" onPress={() => setIsAll(true)} />
        )}
        {buy.length > 0 && (
          <Button
            size="body"
            label={t('services.buyCsv')}
            className="flex-1"
            onPress={() => download(`/api/mise/plans/${plan.id}/buy.csv`, `okazu-buy-${plan.id}.csv`)}
          />
        )}
      </View>
    </View>
  )
}
