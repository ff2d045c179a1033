import { useRouter } from 'expo-router'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import type { Dish } from 'contract/dish'
import { allergenListOf } from 'core/book/allergens'
import { useNowMs } from '../device/clock'
import { newId } from '../device/ids'
import { Button } from '../ui/Button'
import { Choice } from '../ui/Choice'
import { Loading, Problem } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useIsWide } from '../ui/useIsWide'
import { toast, ToastPlace } from '../ui/Toast'
import { formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import { AllergyFault } from './AllergyFault'
import { DishTap } from './DishTap'
import { effectOf } from './draftEffect'
import { addPortion, allowLine, draftFault, EMPTY_DRAFT, ticketOf, type TicketDraft } from './draftTicket'
import { LineInHand } from './LineInHand'
import { useLinePlan, type Line } from './useLinePlan'
import { placeTicket } from './useTickets'
import { Wanted } from './Wanted'

export function AddTicketScreen() {
  const t = useWords('line')
  const { line, error, refetch } = useLinePlan()
  if (line) return <AddTicket line={line} />
  return error ? <Problem error={error} onRetry={() => void refetch()} /> : <Loading what={t('loading')} />
}

function AddTicket({ line }: { line: Line }) {
  const t = useWords('line')
  const router = useRouter()
  const nowMs = useNowMs()
  const [draft, setDraft] = useState<TicketDraft>(EMPTY_DRAFT)
  const isWide = useIsWide()
  const chosen = draft.lines.find((one) => one.id === draft.chosenId)
  const chosenDish = chosen && line.dishes.find((one) => one.id === chosen.dishId)
  const effect = effectOf(draft, line, nowMs)
  const fault = draftFault(draft, line.dishes, allergenListOf(line.kitchen.ruleSet))
  const count = (dish: Dish) =>
    draft.lines.filter((one) => one.dishId === dish.id).reduce((sum, one) => sum + one.portions, 0)
  const dishes = (
    <View role="group" aria-label={t('add.how')} className="flex-row flex-wrap">
      {line.dishes.map((dish) => (
        <DishTap
          key={dish.id}
          dish={dish}
          count={count(dish)}
          onTap={() => setDraft((one) => addPortion(one, dish.id, newId()))}
        />
      ))}
    </View>
  )
  return (
    <View role="main" className="min-h-0 flex-1 bg-ground">
      <View className="flex-row items-center justify-between border-b border-edge bg-plate px-4 py-2">
        <View>
          <PageHeading weight="bold">{t('add.title')}</PageHeading>
          <Text size="small" tone="ash">
            {t('add.how')}
          </Text>
        </View>
        <View className="items-end">
          <Text size="title" weight="bold" stretch="narrow">
            {formatTime(nowMs, line.kitchen.timeZone)}
          </Text>
          <Text size="small" tone="ash">
            {t('add.waiting', { count: line.portionsWaiting })}
          </Text>
        </View>
      </View>
      <View className="min-h-0 flex-1 md:flex-row">
        {isWide && (
          <ScrollView tabIndex={0} className="min-h-0 flex-1 border-r border-edge">
            {dishes}
          </ScrollView>
        )}
        <View className="min-h-0 flex-1">
          <ScrollView tabIndex={0} className="min-h-0 flex-1">
            {!isWide && dishes}
            {draft.lines.length > 1 && (
              <View
                role="radiogroup"
                aria-label={t('add.howMany')}
                className="flex-row flex-wrap border-b border-edge px-1"
              >
                {draft.lines.map((one) => (
                  <Choice
                    key={one.id}
                    role="radio"
                    label={lineName(line, one)}
                    isChosen={one.id === draft.chosenId}
                    onChoose={() => setDraft({ ...draft, chosenId: one.id })}
                  />
                ))}
              </View>
            )}
            {chosen && chosenDish && (
              <LineInHand
                line={chosen}
                dish={chosenDish}
                list={allergenListOf(line.kitchen.ruleSet)}
                draft={draft}
                onChange={setDraft}
              />
            )}
            <Wanted draft={draft} line={line} nowMs={nowMs} readyMs={effect?.readyMs ?? null} onChange={setDraft} />
          </ScrollView>
          <View className="gap-2 border-t border-edge bg-plate p-3">
            {fault && (
              <AllergyFault
                key={`${fault.lineId}${fault.allergen}`}
                fault={fault}
                kitchen={line.kitchen}
                onAllowed={(leadId) => setDraft((one) => allowLine(one, fault.lineId, leadId))}
              />
            )}
            {effect && !fault && (
              <View className="w-full flex-row items-end justify-between gap-2 self-center">
                <View className="min-w-0 flex-1">
                  <Text weight="bold" size="step" stretch="slim" numberOfLines={1}>
                    {effect.joins
                      ? t('add.joins', { dish: effect.dish, station: effect.station })
                      : t('add.newBatch', { station: effect.station })}
                  </Text>
                  {effect.batches > 1 && <Text tone="ash">{t('add.takes', { n: effect.batches })}</Text>}
                </View>
                <View className="items-end">
                  <Text tone="ash">{t('add.ready')}</Text>
                  <Text size="figure" weight="bold" stretch="narrow">
                    {formatTime(effect.readyMs, line.kitchen.timeZone)}
                  </Text>
                </View>
              </View>
            )}
            <View className="w-full flex-row gap-2.5 self-center">
              <Button
                isTall
                label={useWords('ui')('cancel')}
                className="w-[92px]"
                onPress={() => router.replace('/line')}
              />
              <Button
                kind="main"
                isTall
                size="lead"
                label={t('add.send')}
                detail={draft.lines.map((one) => lineName(line, one)).join(', ')}
                disabledBecause={
                  draft.lines.length === 0
                    ? t('add.sendEmpty')
                    : !draft.isAllergyAsked
                      ? t('add.sendAllergy')
                      : fault
                        ? t(`add.blocked.${fault.kind}`)
                        : undefined
                }
                className="flex-1"
                onPress={() => {
                  const promisedAtMs = draft.promisedAtMs ?? Math.max(effect?.readyMs ?? nowMs, nowMs + 60_000)
                  placeTicket(
                    ticketOf(draft, newId(), promisedAtMs, draft.kind === 'take' ? 'hatch' : `stool ${draft.stool}`),
                  )
                  toast(t('add.sent', { what: draft.lines.map((one) => lineName(line, one)).join(', ') }))
                  router.replace('/line')
                }}
              />
            </View>
          </View>
        </View>
      </View>
      <ToastPlace />
    </View>
  )
}

function lineName(line: Line, one: TicketDraft['lines'][number]): string {
  const dish = line.dishes.find((dishOf) => dishOf.id === one.dishId)
  const names = one.modifiers.map((id) => dish?.modifiers.find((modifier) => modifier.id === id)?.name ?? id)
  return [`${one.portions} ${dish?.shortName ?? one.dishId}`, ...names].join(', ')
}
