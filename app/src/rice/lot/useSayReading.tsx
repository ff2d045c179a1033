import type { EventId } from 'contract/ids'
import type { LotEvent } from 'contract/rice'
import type { Temperature } from 'core/measure/temperature'
import { doubtOfLot } from 'core/rice/lot/doubtReading'
import { wouldRefuse } from 'core/rice/lot/lot'
import { useState, type ReactNode } from 'react'
import { kitchenNowMs } from '../../device/clock'
import { toast } from '../../ui/Toast'
import { formatClock, formatTemp } from '../../words/format'
import { useWords } from '../../words/i18n'
import { policyHere, sayOfLot, type SaidHere } from '../useLots'
import { AskReading, type AskedReading } from './AskReading'
import type { LotPage } from './lotPage'

/**
 * Says a reading of a lot: what is odd, and what would refuse the lot for good, is asked about first. A reading that refuses
 * has no Undo.
 * @param expectedC what the model expects now, where it is known
 * @param then what is said with it
 */
export function useSayReading(
  { shown, kitchen, house }: LotPage,
  expectedC: number | null,
  { then = [], onSaid }: { then?: SaidHere[]; onSaid?: () => void } = {},
): { log: (read: Temperature) => void; ask: ReactNode } {
  const t = useWords('rice')
  const [input, setAsked] = useState<AskedReading | null>(null)
  const { lot, state } = shown
  const last = state.readings.filter((one) => one.doubt === null).at(-1) ?? null
  const refuses = (read: Temperature) => {
    const said: LotEvent = {
      id: 'to-be-said' as LotEvent['id'],
      lotId: lot.id,
      deviceId: '',
      atMs: Math.round(kitchenNowMs()),
      counter: 0,
      heardMs: null,
      kind: 'read',
      ...read,
      source: 'dial',
      doubt: null,
    }
    return wouldRefuse(lot, lot.events, policyHere(kitchen, house), said)
  }
  const say = (read: Temperature, isDoubted: boolean, mayUndo: boolean) => {
    const words = { kind: 'read', ...read, source: 'dial' } as const
    const sure = ([eventId]: EventId[]): SaidHere => ({ kind: 'confirmed', eventId: eventId! })
    const ids = sayOfLot(lot.id, words, ...(isDoubted ? [sure] : []), ...then)
    const undo = () => sayOfLot(lot.id, { kind: 'undone', eventId: ids[0] })
    toast(t('lot.says.read', { temp: formatTemp(read, kitchen.readsIn) }), mayUndo ? undo : undefined)
    setAsked(null)
    onSaid?.()
  }
  const askWhatItDoes = (read: Temperature, isDoubted: boolean) => {
    if (!refuses(read)) return say(read, isDoubted, true)
    const startMs = state.logs[0]?.log.startMs ?? state.spreadAtMs ?? lot.bornAtMs
    setAsked({ kind: 'refuses', read, isDoubted, after: formatClock((kitchenNowMs() - startMs) / 60_000) })
  }
  const log = (read: Temperature) => {
    const doubted = doubtOfLot(state, { ...read, atMs: kitchenNowMs() }, expectedC)
    if (doubted) setAsked({ kind: 'odd', read, doubted })
    else askWhatItDoes(read, false)
  }
  const ask = (
    <AskReading
      input={input}
      readsIn={kitchen.readsIn}
      name={lot.name}
      fromC={last?.tempC ?? null}
      onSay={(read, isDoubted) =>
        input?.kind === 'refuses' ? say(read, isDoubted, false) : askWhatItDoes(read, isDoubted)
      }
      onClose={() => setAsked(null)}
    />
  )
  return { log, ask }
}
