import { createAsyncStoragePersister } from '@tanstack/query-async-storage-persister'
import { QueryClient, useQueryClient } from '@tanstack/react-query'
import { PersistQueryClientProvider } from '@tanstack/react-query-persist-client'
import { Run } from 'contract/run'
import { del, get, set } from 'idb-keyval'
import { useEffect, type ReactNode } from 'react'
import { onReachable } from '../device/network'
import { startOutbox } from '../device/outbox'
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

const persister = createAsyncStoragePersister({
  storage: {
    getItem: async (key) => (await get<string>(key)) ?? null,
    setItem: (key, value) => set(key, value),
    removeItem: (key) => del(key),
  },
  key: 'okazu.seen',
  throttleTime: 200,
})

/** What was seen stays on this device, so that a reload without a network shows it; what was said is sent from here. */
export function Kept({ children }: { children: ReactNode }) {
  return (
    <PersistQueryClientProvider client={client} persistOptions={{ persister, maxAge: 7 * DAY_MS, buster: '1' }}>
      <Sender />
      {children}
    </PersistQueryClientProvider>
  )
}

function Sender() {
  const queries = useQueryClient()
  useEffect(() => {
    const stopOutbox = startOutbox((parcel, answer) => {
      if (parcel.kind === 'run' || parcel.kind === 'runEvents') {
        queries.setQueryData(['runs', 'one', parcel.subjectId], Run.parse(answer))
      }
      void queries.invalidateQueries({ queryKey: [parcel.kind.startsWith('run') ? 'runs' : 'tickets'] })
    })
    const stopReachable = onReachable(() => void queries.invalidateQueries())
    return () => {
      stopOutbox()
      stopReachable()
    }
  }, [queries])
  return null
}
