import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister'
import { defaultShouldDehydrateQuery, QueryClient, useQueryClient, type Query } from '@tanstack/react-query'
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client'
import { Lot, type LotList } from 'contract/rice'
import { Run } from 'contract/run'
import { del, get, set } from 'idb-keyval'
import { useEffect, type ReactNode } from 'react'
import { onReachable } from '../device/network'
import { startOutbox, type Parcel } from '../device/outbox'
import { Refused } from '../device/http'

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
  miseEvents: 'mise',
  stationEvents: 'runs',
} as const satisfies Record<Parcel['kind'], string>

const persister = createAsyncStoragePersister({
  storage: {
    getItem: async (key) => (await get<string>(key)) ?? null,
    setItem: (key, value) => set(key, value),
    removeItem: (key) => del(key),
  },
  key: 'okazu.seen',
  throttleTime: 200,
})

/** What a worker here works out is worked out again rather than kept. */
const shouldDehydrateQuery = (query: Query) => query.queryKey[0] !== 'worked' && defaultShouldDehydrateQuery(query)

/** What was seen stays on this device, so that a reload without a network shows it; what was said is sent from here. */
export function Kept({ children }: { children: ReactNode }) {
  return (
    <PersistQueryClientProvider
      client={client}
      persistOptions={{ persister, maxAge: 7 * DAY_MS, buster: '5', dehydrateOptions: { shouldDehydrateQuery } }}
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
    const stopOutbox = startOutbox((parcel, answer) => {
      if (parcel.kind === 'run' || parcel.kind === 'runEvents') {
        queries.setQueryData(['runs', 'one', parcel.subjectId], Run.parse(answer))
      }
      if (parcel.kind === 'lot' || parcel.kind === 'lotEvents') keepLot(queries, Lot.parse(answer))
      void queries.invalidateQueries({ queryKey: [TOPIC[parcel.kind]] })
    })
    const stopReachable = onReachable(() => void queries.invalidateQueries())
    return () => {
      stopOutbox()
      stopReachable()
    }
  }, [queries])
  return null
}
