import { useQuery } from '@tanstack/react-query'
import { LineState, LineWish, LineWishList } from 'contract/line'
import { lineWishes, type LineWish as Wish } from 'core/line/plan/wishes'
import { useMemo } from 'react'
import { getJson } from '../../device/http'
import { deviceId, newId, stampNow } from '../../device/ids'
import { post, useOutbox, type Parcel } from '../../device/outbox'
import { currentPersonId } from '../../people/me'

/** What was decided of the line, with what this device said and has not sent yet, and the order that the cooks were told. */
export function useLineState() {
  const query = useQuery({ queryKey: ['line'], queryFn: ({ signal }) => getJson('/line', LineState, signal) })
  const parcels = useOutbox()
  const known = query.data?.wishes
  const wishes = useMemo(() => lineWishes([...(known ?? []), ...unsentWishes(parcels)]), [known, parcels])
  return { ...query, wishes, told: query.data?.order ?? null }
}

function unsentWishes(parcels: readonly Parcel[]): LineWish[] {
  return parcels
    .filter((parcel) => parcel.kind === 'lineWishes' && parcel.refusal === null)
    .flatMap((parcel) => LineWishList.safeParse(parcel.body).data?.wishes ?? [])
}

/** Says what was decided of the line. Without a network it is kept here and holds here until it is sent. */
export function sayWish(...wishes: Wish[]): void {
  const [first] = wishes
  if (!first) return
  const by = { deviceId: deviceId(), staffId: currentPersonId() }
  const said = wishes.map((wish) => LineWish.parse({ ...wish, ...by, id: newId(), ...stampNow() }))
  post({ kind: 'lineWishes', subjectId: first.kind, path: '/line/wishes', body: { wishes: said } })
}
