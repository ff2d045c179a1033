import { useRouter } from 'expo-router'
import { useState } from 'react'
import { Pressable, ScrollView, View } from 'react-native'
import type { Dish } from 'contract/dish'
import { allergensOf } from 'core/book/vary'
import { useNowMs } from '../device/clock'
import { newId } from '../device/ids'
import { openSound } from '../device/signal'
import { Button } from '../ui/Button'
import { Choice } from '../ui/Choice'
import { Dial } from '../ui/Dial'
import { SlashDisc } from '../ui/icons'
import { Notice } from '../ui/Notice'
import { Loading, Problem } from '../ui/states'
import { Text } from '../ui/Text'
import { toast, ToastPlace } from '../ui/Toast'
import { formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import {
  addPortion,
  draftFault,
  EMPTY_DRAFT,
  noAllergy,
  setPortions,
  splitOne,
  ticketOf,
  toggleAllergy,
  toggleModifier,
  type Draft,
} from './draftTicket'
import { nextBoatMs } from './nextForHands'
import { planOf, useLinePlan, type Line } from './useLinePlan'
import { placeTicket, type ShownTicket } from './useTickets'

export function AddTicketScreen() {
  const t = useWords('line')
  const { line, error, refetch } = useLinePlan()
  if (line) return <AddTicket line={line} />
  return error ? <Problem error={error} onRetry={() => void refetch()} /> : <Loading what={t('loading')} />
}

const STOOLS = 14

function AddTicket({ line }: { line: Line }) {
  const t = useWords('line')
  const router = useRouter()
  const nowMs = useNowMs()
  const [draft, setDraft] = useState<Draft>(EMPTY_DRAFT)
  const chosen = draft.lines.find((one) => one.id === draft.chosenId)
  const chosenDish = chosen && line.dishes.find((one) => one.id === chosen.dishId)
  const effect = effectOf(draft, line, nowMs)
  const fault = draftFault(draft, line.dishes)
  const count = (dish: Dish) =>
    draft.lines.filter((one) => one.dishId === dish.id).reduce((sum, one) => sum + one.portions, 0)
  return (
    <View role="main" className="min-h-0 flex-1 bg-ground">
      <View className="flex-row items-center justify-between border-b border-edge bg-plate px-4 py-2">
        <View>
          <Text role="heading" aria-level={1} weight="bold">
            {t('add.title')}
          </Text>
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
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-4xl self-center">
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
          {chosen && chosenDish && <LineInHand line={chosen} dish={chosenDish} draft={draft} onChange={setDraft} />}
          <Wanted draft={draft} line={line} nowMs={nowMs} readyMs={effect?.readyMs ?? null} onChange={setDraft} />
        </View>
      </ScrollView>
      <View className="gap-2 border-t border-edge bg-plate p-3">
        {fault && <Fault fault={fault} />}
        {effect && !fault && (
          <View className="flex-row items-end justify-between gap-2">
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
        <View className="w-full max-w-4xl flex-row gap-2.5 self-center">
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
                    ? t('add.allergyOffer', { components: fault.components.join(', ') })
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
      <ToastPlace />
    </View>
  )
}

function lineName(line: Line, one: Draft['lines'][number]): string {
  const dish = line.dishes.find((dishOf) => dishOf.id === one.dishId)
  const names = one.modifiers.map((id) => dish?.modifiers.find((modifier) => modifier.id === id)?.name ?? id)
  return [`${one.portions} ${dish?.shortName ?? one.dishId}`, ...names].join(', ')
}

function DishTap({ dish, count, onTap }: { dish: Dish; count: number; onTap: () => void }) {
  const t = useWords('line')
  const rest = dish.name
    .toLowerCase()
    .replace(dish.shortName.toLowerCase(), '')
    .replace(/^[\s,]*(and )?/, '')
  return (
    <Pressable
      role="button"
      aria-label={`${dish.name}, ${t('portions', { count })}`}
      onPress={() => {
        openSound()
        onTap()
      }}
      className={`ring-focus min-h-16 w-1/2 flex-row items-center gap-3 border-b-[3px] px-4 active:bg-plate ${count > 0 ? 'border-rice bg-plate' : 'border-edge'}`}
    >
      {count > 0 && (
        <Text size="figure" weight="bold" stretch="narrow">
          {count}
        </Text>
      )}
      <View className="min-w-0 flex-1">
        <Text size="title" weight="semi" stretch="slim" numberOfLines={1}>
          {dish.shortName}
        </Text>
        <Text size="small" tone="ash" stretch="narrow" numberOfLines={1}>
          {rest}
        </Text>
      </View>
    </Pressable>
  )
}

type InHandProps = { line: Draft['lines'][number]; dish: Dish; draft: Draft; onChange: (draft: Draft) => void }

function LineInHand({ line, dish, draft, onChange }: InHandProps) {
  const t = useWords('line')
  const name = useWords('ui')
  const allergens = allergensOf(dish.components)
  return (
    <View className="gap-2 border-b border-edge px-4 py-2">
      <View className="flex-row items-center gap-3">
        <Text weight="bold" size="step" className="flex-1">
          {dish.shortName}
        </Text>
        <View className="w-56">
          <Dial
            name={t('add.howMany')}
            value={line.portions}
            least={0}
            most={60}
            unit=""
            lessLabel={t('add.less')}
            moreLabel={t('add.more')}
            onChange={(portions) => onChange(setPortions(draft, line.id, portions))}
          />
        </View>
      </View>
      <View role="group" aria-label={t('add.which')} className="flex-row flex-wrap border-t border-edge">
        {dish.modifiers.map((modifier) => (
          <Choice
            key={modifier.id}
            role="checkbox"
            label={modifier.name}
            isChosen={line.modifiers.includes(modifier.id)}
            onChoose={() => onChange(toggleModifier(draft, line.id, modifier.id))}
          />
        ))}
        {line.portions > 1 && (
          <Button label={t('add.oneDiffers')} onPress={() => onChange(splitOne(draft, line.id, newId()))} />
        )}
      </View>
      <View className="flex-row items-center gap-2 border-t border-edge pt-2">
        <SlashDisc sizePx={20} color="rgb(var(--rice))" />
        <Text weight="bold">{t('add.allergy')}</Text>
        <Text tone="ash" stretch="slim" className="min-w-0 flex-1" numberOfLines={1}>
          {t('add.allergyHow', { dish: dish.shortName })}
        </Text>
      </View>
      <View role="group" aria-label={t('add.allergy')} className="flex-row flex-wrap">
        <Choice
          role="checkbox"
          label={t('add.allergyNone')}
          isChosen={draft.isAllergyAsked && line.allergies.length === 0}
          onChoose={() => onChange(noAllergy(draft, line.id))}
        />
        {allergens.map((allergen) => (
          <Choice
            key={allergen}
            role="checkbox"
            label={name(`allergens.${allergen}`)}
            isChosen={line.allergies.includes(allergen)}
            onChoose={() => onChange(toggleAllergy(draft, line.id, allergen))}
          />
        ))}
      </View>
      {!draft.isAllergyAsked && <Text tone="ash">{t('add.allergyUnset')}</Text>}
    </View>
  )
}

type WantedProps = { draft: Draft; line: Line; nowMs: number; readyMs: number | null; onChange: (draft: Draft) => void }

function Wanted({ draft, line, nowMs, readyMs, onChange }: WantedProps) {
  const t = useWords('line')
  const zone = line.kitchen.timeZone
  const boatMs = nextBoatMs(line.kitchen.boatEveryMin, nowMs)
  const everyMs = line.kitchen.boatEveryMin * 60_000
  const boats = [0, 1, 2].map((n) => boatMs + n * everyMs)
  return (
    <View className="gap-1 px-4 py-2">
      <Text weight="bold">{t('add.promise')}</Text>
      <View role="radiogroup" aria-label={t('add.promise')} className="flex-row flex-wrap">
        <Choice
          role="radio"
          label={readyMs === null ? t('add.atOnce') : `${t('add.atOnce')} ${formatTime(readyMs, zone)}`}
          isChosen={draft.promisedAtMs === null}
          onChoose={() => onChange({ ...draft, promisedAtMs: null })}
        />
        {boats.map((ms) => (
          <Choice
            key={ms}
            role="radio"
            label={t('add.boat', { time: formatTime(ms, zone) })}
            isChosen={draft.promisedAtMs === ms}
            onChoose={() => onChange({ ...draft, promisedAtMs: ms })}
          />
        ))}
      </View>
      <View className="flex-row flex-wrap items-center gap-2">
        <View role="radiogroup" aria-label={t('add.where')} className="flex-row">
          <Choice
            role="radio"
            label={t('add.hatch')}
            isChosen={draft.kind === 'take'}
            onChoose={() => onChange({ ...draft, kind: 'take' })}
          />
          <Choice
            role="radio"
            label={t('add.stool', { n: draft.stool })}
            isChosen={draft.kind === 'dine'}
            onChoose={() => onChange({ ...draft, kind: 'dine' })}
          />
        </View>
        {draft.kind === 'dine' && (
          <View className="w-56">
            <Dial
              name={t('add.stoolNo')}
              value={draft.stool}
              least={1}
              most={STOOLS}
              unit=""
              lessLabel={t('add.less')}
              moreLabel={t('add.more')}
              onChange={(stool) => onChange({ ...draft, stool })}
            />
          </View>
        )}
      </View>
    </View>
  )
}

function Fault({ fault }: { fault: NonNullable<ReturnType<typeof draftFault>> }) {
  const t = useWords('line')
  const name = useWords('ui')
  return (
    <View role="alert">
      <Notice
        kind="allergy"
        title={t('add.allergyStays', { dish: fault.dish.shortName, allergen: name(`allergens.${fault.allergen}`) })}
      >
        {t('add.allergyOffer', { components: fault.components.join(', ') })}
      </Notice>
    </View>
  )
}

const DRAFT_ID = '00000000-0000-7000-8000-000000000000'

/** What the ticket would do to the line: which batch it joins, where, and when it is all up. */
function effectOf(draft: Draft, line: Line, nowMs: number) {
  if (draft.lines.length === 0) return null
  const ticket = {
    ...ticketOf(draft, DRAFT_ID, draft.promisedAtMs ?? nowMs + 8 * 60_000, ''),
    number: 0,
    placedAtMs: nowMs,
    isCancelled: false,
    items: draft.lines.map((one) => ({ ...one, firedPortions: 0, donePortions: 0 })),
  } as unknown as ShownTicket
  const plan = planOf(
    line.kitchen,
    line.dishes,
    [...line.tickets, ticket],
    line.runs.map(({ run }) => run),
    nowMs,
  )
  const mine = plan.batches.filter((batch) => batch.parts.some((part) => part.ticketId === DRAFT_ID))
  const last = [...mine].sort((a, b) => b.upMs - a.upMs)[0]
  if (!last) return null
  return {
    dish: last.dish.shortName,
    station: last.station.name,
    readyMs: last.upMs,
    joins: last.parts.some((part) => part.ticketId !== DRAFT_ID),
    batches: mine.length,
  }
}
