import { useRouter } from 'expo-router'
import { useDeferredValue, useMemo, useState, type Dispatch, type SetStateAction } from 'react'
import { ScrollView, View } from 'react-native'
import type { Dish } from 'contract/dish'
import { allergenListOf } from 'core/book/allergens'
import { goneBecause } from 'core/line/plan/gone'
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
import { EffectRow } from './EffectRow'
import { addPortion, allowLine, draftFault, draftGone, EMPTY_DRAFT, ticketOf, type TicketDraft } from './draftTicket'
import { LineInHand } from './LineInHand'
import { useLinePlan, type Line } from './useLinePlan'
import { placeTicket } from './useTickets'
import { Wanted } from './Wanted'

/** A ticket that is wanted at once is promised no sooner than this [ms]. */
const SOONEST_MS = 60_000

export function AddTicketScreen() {
  const t = useWords('line')
  const { line, error, refetch } = useLinePlan()
  if (line) return <AddTicket line={line} />
  return error ? <Problem error={error} onRetry={() => void refetch()} /> : <Loading what={t('loading')} />
}

function AddTicket({ line }: { line: Line }) {
  const nowMs = useNowMs()
  const [draft, setDraft] = useState<TicketDraft>(EMPTY_DRAFT)
  const isWide = useIsWide()
  // What a ticket does is a plan of its own: it follows the finger, and is not worked out again by the second.
  const asked = useDeferredValue(draft)
  const effect = useMemo(() => effectOf(asked, line, line.atMs), [asked, line])
  const dishes = <Dishes line={line} draft={draft} onChange={setDraft} />
  return (
    <View role="main" className="min-h-0 flex-1 bg-ground">
      <Heading line={line} nowMs={nowMs} />
      <View className="min-h-0 flex-1 md:flex-row">
        {isWide && (
          <ScrollView tabIndex={0} className="min-h-0 flex-1 border-r border-edge">
            {dishes}
          </ScrollView>
        )}
        <View className="min-h-0 flex-1">
          <ScrollView tabIndex={0} className="min-h-0 flex-1">
            {!isWide && dishes}
            <Chosen line={line} draft={draft} onChange={setDraft} />
            <Wanted draft={draft} line={line} nowMs={nowMs} readyMs={effect?.readyMs ?? null} onChange={setDraft} />
          </ScrollView>
          <SendBar line={line} draft={draft} effect={effect} nowMs={nowMs} onChange={setDraft} />
        </View>
      </View>
      <ToastPlace />
    </View>
  )
}

type DraftProps = { line: Line; draft: TicketDraft; onChange: Dispatch<SetStateAction<TicketDraft>> }

function Heading({ line, nowMs }: { line: Line; nowMs: number }) {
  const t = useWords('line')
  return (
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
  )
}

/** Every dish to tap, with how many portions the ticket has of it. */
function Dishes({ line, draft, onChange }: DraftProps) {
  const t = useWords('line')
  const count = (dish: Dish) =>
    draft.lines.filter((one) => one.dishId === dish.id).reduce((sum, one) => sum + one.portions, 0)
  const list = allergenListOf(line.kitchen.ruleSet)
  const goneWords = (dish: Dish): string | null => {
    const gone = goneBecause(dish, { modifiers: [], allergies: [] }, line.wishes, list)
    if (!gone) return null
    return gone.kind === 'dish' ? t('add.is86') : t('add.lacks', { name: gone.name })
  }
  return (
    <View role="group" aria-label={t('add.how')} className="flex-row flex-wrap">
      {line.dishes.map((dish) => (
        <DishTap
          key={dish.id}
          dish={dish}
          count={count(dish)}
          gone={goneWords(dish)}
          onTap={() => onChange((one) => addPortion(one, dish.id, newId()))}
        />
      ))}
    </View>
  )
}

/** The lines of the ticket, and the one in hand with its portions, modifiers and allergies. */
function Chosen({ line, draft, onChange }: DraftProps) {
  const t = useWords('line')
  const chosen = draft.lines.find((one) => one.id === draft.chosenId)
  const dish = chosen && line.dishes.find((one) => one.id === chosen.dishId)
  return (
    <>
      {draft.lines.length > 1 && (
        <View role="radiogroup" aria-label={t('add.howMany')} className="flex-row flex-wrap border-b border-edge px-1">
          {draft.lines.map((one) => (
            <Choice
              key={one.id}
              role="radio"
              label={lineName(line, one)}
              isChosen={one.id === draft.chosenId}
              onChoose={() => onChange({ ...draft, chosenId: one.id })}
            />
          ))}
        </View>
      )}
      {chosen && dish && (
        <LineInHand
          line={chosen}
          dish={dish}
          list={allergenListOf(line.kitchen.ruleSet)}
          draft={draft}
          onChange={onChange}
        />
      )}
    </>
  )
}

type Effect = ReturnType<typeof effectOf>

/** What the ticket will do, why it may not be sent, and sending it. */
function SendBar({ line, draft, effect, nowMs, onChange }: DraftProps & { effect: Effect; nowMs: number }) {
  const t = useWords('line')
  const name = useWords('ui')
  const router = useRouter()
  const list = allergenListOf(line.kitchen.ruleSet)
  const fault = draftFault(draft, line.dishes, list)
  const gone = draftGone(draft, line.dishes, line.wishes, list)
  const what = draft.lines.map((one) => lineName(line, one)).join(', ')
  const blocked = () => {
    if (draft.lines.length === 0) return t('add.sendEmpty')
    if (gone) return t('add.gone', { name: gone.name })
    if (!draft.isAllergyAsked) return t('add.sendAllergy')
    return fault ? t(`add.blocked.${fault.kind}`) : undefined
  }
  const send = () => {
    const promisedAtMs = draft.promisedAtMs ?? Math.max(effect?.readyMs ?? nowMs, nowMs + SOONEST_MS)
    placeTicket(ticketOf(draft, newId(), promisedAtMs, draft.kind === 'take' ? 'hatch' : `stool ${draft.stool}`))
    toast(t('add.sent', { what }))
    router.replace('/line')
  }
  return (
    <View className="gap-2 border-t border-edge bg-plate p-3">
      {fault && (
        <AllergyFault
          key={`${fault.lineId}${fault.allergen}`}
          fault={fault}
          kitchen={line.kitchen}
          onAllowed={(leadId) => onChange((one) => allowLine(one, fault.lineId, leadId))}
        />
      )}
      {effect && !fault && <EffectRow effect={effect} line={line} />}
      <View className="w-full flex-row gap-2.5 self-center">
        <Button isTall label={name('cancel')} className="w-[92px]" onPress={() => router.replace('/line')} />
        <Button
          kind="main"
          isTall
          size="lead"
          label={t('add.send')}
          detail={what}
          disabledBecause={blocked()}
          className="flex-1"
          onPress={send}
        />
      </View>
    </View>
  )
}

function lineName(line: Line, one: TicketDraft['lines'][number]): string {
  const dish = line.dishes.find((dishOf) => dishOf.id === one.dishId)
  const names = one.modifiers.map((id) => dish?.modifiers.find((modifier) => modifier.id === id)?.name ?? id)
  return [`${one.portions} ${dish?.shortName ?? one.dishId}`, ...names].join(', ')
}
