import { mayNow } from '../../people/me'
import { LineState, type PutOrder, type ToldOrder } from 'contract/line'
import type { LineBasis } from 'core/line/lineNow'
import { orderOf, wantedOf, type LineOrder } from 'core/line/plan/order'
import type { PlannedFrom } from 'core/line/plan/factsKey'
import { whyChanged } from 'core/line/plan/whyChanged'
import { NoAnswer, Refused, sendJson } from '../../device/http'
import { deviceId } from '../../device/ids'
import { newVersion } from '../../device/version'
import { inLineWorker } from './lineWorker'

/** The order that this device searched out, for which facts, and after which order of the kitchen. */
type Own = { key: string; basedOn: number; order: LineOrder; body: PutOrder }
let own: Own | null = null
/** What the order before was planned from, as far as this page saw it. */
let before: PlannedFrom | null = null
let searching: string | null = null
let isSending = false
let lastSentMs = 0
const { raise: tell, useVersion } = newVersion()

/** A number that is another one whenever this device found another order. */
export const useOrderVersion = useVersion

const noOf = (told: ToldOrder | null) => told?.no ?? 0

/** The order to show: what the kitchen was told, unless this device found one for newer facts. */
export const orderFor =
  (told: ToldOrder | null) =>
  (key: string): LineOrder | null => {
    if (own && own.key === key && own.basedOn >= noOf(told)) return own.order
    return told ?? own?.order ?? null
  }

/** Whether the order that is shown was made for these facts. */
export const isOrderFor = (told: ToldOrder | null, { key }: Pick<LineBasis, 'key'>): boolean =>
  told?.key === key || own?.key === key

/** Told to the kitchen again after so long without an answer [ms]. */
const AGAIN_MS = 5000

/**
 * Searches a better order where the facts are other ones than those that the kitchen was told for, and tells the kitchen. Several
 * devices may do it at once: the first is taken, and the others show that.
 */
export function searchOrder(
  basis: LineBasis,
  told: ToldOrder | null,
  onState: (state: LineState | null) => void,
): void {
  if (told?.key === basis.key && basis.isTold) {
    before = basis.from
    return
  }
  if (basis.pieces.length === 0) return
  if (own?.key === basis.key && own.basedOn === noOf(told)) {
    if (Date.now() - lastSentMs > AGAIN_MS) send(own.body, onState)
    return
  }
  if (searching !== null) return
  searching = basis.key
  const why = whyChanged(before, basis.from)
  const start = told === null && own === null ? null : wantedOf(basis.order, basis.pieces)
  inLineWorker(async (work) => work.searchedPlan(basis.instance, start)).then(
    ({ list, objective }) => {
      searching = null
      const order = objective < basis.objective - 1e-6 ? orderOf(list, basis.pieces) : basis.order
      const { key } = basis
      const body = { basedOn: noOf(told), key, batches: order.batches, why, deviceId: deviceId() } as PutOrder
      own = { key, basedOn: noOf(told), order, body }
      before = basis.from
      tell()
      send(body, onState)
    },
    () => {
      searching = null
    },
  )
}

function send(body: PutOrder, onState: (state: LineState | null) => void): void {
  // Who may not tell sees the order here; a device of somebody who may tells it.
  if (isSending || !mayNow('tell')) return
  isSending = true
  lastSentMs = Date.now()
  sendJson('PUT', '/line/order', body, LineState)
    .then(onState, (failure: unknown) => {
      // Another device was first, or a portion is gone that this one did not know of: what the kitchen says holds.
      if (failure instanceof Refused) onState(null)
      else if (!(failure instanceof NoAnswer)) throw failure
    })
    .finally(() => {
      isSending = false
    })
}
