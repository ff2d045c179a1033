import { QueryClient, useQueryClient, type Query } from '@tanstack/react-query'
import { PersistQueryClientProvider, persistQueryClientSave } from '@tanstack/react-query-persist-client'
import { Lot, type LotList } from 'contract/rice'
import { Run } from 'contract/run'
import { useEffect, type ReactNode } from 'react'
import { watchClock } from '../device/clock'
import { onReachable } from '../device/network'
import { startOutbox, type Parcel } from '../device/outbox'
import { Refused } from '../device/http'
import { createKeptAnswers } from './keptAnswers'

const DAY_MS = 86_400_000
const RETRY_MS = 1500

const client = new QueryClient({
  defaultOptions: {
    queries: {
      networkMode: 'always',
      gcTime: 7 * DAY_MS,
      retry: (count, error) => !(error instanceof Refused) && count < 2,
      retryDelay: RETRY_MS,
    },
    mutations: { networkMode: 'always' },
  },
})

/** What to ask again for once a parcel was taken. */
const TOPIC = {
  ticket: 'tickets',
  ticketEvents: 'tickets',
  run: 'runs',
  runEvents: 'runs',
  lot: 'rice',
  lotEvents: 'rice',
  tasting: 'book',
  complaint: 'runs',
  miseEvents: 'mise',
  stationEvents: 'runs',
  lineWishes: 'line',
} as const satisfies Record<Parcel['kind'], string>

/** Raised whenever what is kept would no longer be understood: it is then asked for again. */
const VERSION = '14'
const answers = createKeptAnswers()

/** What a worker here works out is worked out again rather than kept. */
const shouldDehydrateQuery = (query: Query) => query.queryKey[0] !== 'worked' && query.state.data !== undefined
const KEPT = { buster: VERSION, dehydrateOptions: { shouldDehydrateQuery } }

/** Keeps what is known now, rather than in a moment: before a parcel that led to it is forgotten. */
const keepNow = (queryClient: QueryClient) =>
  persistQueryClientSave({
    queryClient,
    persister: { ...answers.persister, persistClient: answers.keepNow },
    ...KEPT,
  })

/** What was seen stays on this device, so that a reload without a network shows it; what was said is sent from here. */
export function Kept({ children }: { children: ReactNode }) {
  return (
    <PersistQueryClientProvider
      client={client}
      persistOptions={{ persister: answers.persister, maxAge: 7 * DAY_MS, ...KEPT }}
    >
      <Sender />
      {children}
    </PersistQueryClientProvider>
  )
}

/** What the kitchen answered of a lot stands in for what this device said, until it is asked again. */
function keepLot(queries: QueryClient, lot: Lot): void {
  queries.setQueryData(['rice', 'lot', lot.id], lot)
  queries.setQueryData<LotList>(['rice', 'lots'], (known) => {
    if (!known) return known
    const isKnown = known.lots.some((one) => one.id === lot.id)
    return { lots: isKnown ? known.lots.map((one) => (one.id === lot.id ? lot : one)) : [...known.lots, lot] }
  })
}

function Sender() {
  const queries = useQueryClient()
  useEffect(() => {
    const stopOutbox = startOutbox(async (parcel, answer) => {
      void queries.invalidateQueries({ queryKey: [TOPIC[parcel.kind]] })
      if (parcel.kind === 'run' || parcel.kind === 'runEvents') {
        queries.setQueryData(['runs', 'one', parcel.subjectId], Run.parse(answer))
      }
      if (parcel.kind === 'lot' || parcel.kind === 'lotEvents') keepLot(queries, Lot.parse(answer))
      await keepNow(queries)
    })
    const stopReachable = onReachable(() => void queries.invalidateQueries())
    const stopClock = watchClock(() => void queries.invalidateQueries())
    return () => {
      stopClock()
      stopOutbox()
      stopReachable()
    }
  }, [queries])
  return null
}
