import { isWashed } from 'core/line/stationPast'
import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { kitchenNowMs } from '../device/clock'
import { useMay } from '../people/me'
import { Button } from '../ui/Button'
import { HoldButton } from '../ui/HoldButton'
import { Notice } from '../ui/Notice'
import { useProblemSentence } from '../ui/states'
import { toast } from '../ui/Toast'
import { useWords } from '../words/i18n'
import { useLineWords } from './lineWords'
import { runAt } from './nextForHands'
import { batchInputOf } from 'core/line/batchInput'
import { pastOf } from 'core/line/lineNow'
import { useEffect } from 'react'
import { workOut } from '../wok/workedOut'
import type { Line, ShownBatch } from './useLinePlan'
import { sayCleaned } from './useStations'
import type { useFire } from './useFire'
import { useMassWords } from '../setup/useMassWords'

/** The one thing to do on the line: fire the batch, or go to the run that its station still has. */
export function FireButton({
  line,
  batch,
  fire,
}: {
  line: Line
  batch: ShownBatch | null
  fire: ReturnType<typeof useFire>
}) {
  const { mass } = useMassWords()
  const t = useWords('line')
  const router = useRouter()
  const words = useLineWords(line)
  const mayCook = useMay('cook')
  useScoreOf(line, batch)
  const busy = batch ? runAt(line, batch.stationId) : (line.runs[0] ?? null)
  if (busy) {
    const detail = batch
      ? t('busyUntil', { station: batch.station.name, time: words.time(busy.state.upMs) })
      : (busy.station?.name ?? '')
    return (
      <Button
        kind="main"
        isTall
        label={t('openRun', { dish: dishShort(line, busy.run.dishId) })}
        detail={detail}
        onPress={() => router.push(`/wok/${busy.run.id}`)}
        className="flex-1"
      />
    )
  }
  if (!batch && line.pending.length > 0)
    return <Button kind="main" isTall label={t('workingPlan')} isBusy onPress={() => undefined} className="flex-1" />
  if (!batch)
    return (
      <Button kind="main" isTall label={t('addTicket')} onPress={() => router.push('/line/add')} className="flex-1" />
    )
  if (batch.allergies.length > 0 && !isWashed(pastOf(line.pasts, batch.stationId)))
    return (
      <HoldButton
        kind="main"
        isTall
        label={t('washed', { station: batch.station.name })}
        detail={t('washedHold')}
        className="flex-1"
        onHeld={() => {
          const takeBack = sayCleaned(batch.stationId, 'washed')
          toast(t('washedToast', { station: batch.station.name, time: words.time(kitchenNowMs()) }), takeBack)
        }}
      />
    )
  return (
    <Button
      kind="main"
      isTall
      label={t('fire', { dish: `${batch.dish.shortName}, ${batch.portions}` })}
      disabledBecause={!mayCook ? t('cookSignsIn') : batch.score === null ? t('workingOut') : undefined}
      detail={t('fireOn', { station: batch.station.name, mass: mass(batch.batchMassG) })}
      isBusy={fire.isFiring}
      onPress={() => void fire.fire(batch)}
      className="flex-1"
    />
  )
}

/** The batch in hand has a score of its own, however far behind it stands. */
function useScoreOf({ kitchen, rice }: Line, batch: ShownBatch | null): void {
  useEffect(() => {
    if (!batch || batch.score !== null) return
    const { dish, station } = batch
    workOut({ kitchen, rice }, { times: [], scores: [{ dish, station, batch: batchInputOf(batch) }] })
  }, [kitchen, rice, batch])
}

function dishShort(line: Line, dishId: string): string {
  return line.dishes.find((one) => one.id === dishId)?.shortName ?? dishId
}

/** What must be said aloud before firing, and what went wrong with the last try. */
export function FireNotices({
  line,
  batch,
  fire,
}: {
  line: Line
  batch: ShownBatch | null
  fire: ReturnType<typeof useFire>
}) {
  const t = useWords('line')
  const words = useLineWords(line)
  const sentence = useProblemSentence(fire.error)
  return (
    <View aria-live="polite" className="gap-2">
      {fire.error && <Notice kind="conflict" title={sentence} isSmall />}
      {line.homeless.slice(0, 1).map((one) => (
        <Notice
          key={one.parts[0]?.itemId ?? ''}
          kind="conflict"
          isSmall
          title={t('homeless', {
            dish: `${dishShort(line, one.dishId)} ${one.portions}`,
            tickets: [...new Set(one.parts.map((part) => part.ticketNumber))].join(', '),
          })}
        />
      ))}
      {batch && batch.allergies.length > 0 && (
        <Notice
          kind="allergy"
          title={t('allergyAloud', { ticket: words.tickets(batch), allergen: words.allergens(batch.allergies) })}
        >
          {t('allergyHow')}
        </Notice>
      )}
    </View>
  )
}
