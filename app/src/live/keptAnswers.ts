import type { PersistedClient, Persister } from '@tanstack/react-query-persist-client'
import { delMany, get, getMany, setMany } from 'idb-keyval'
import { noteStore } from '../device/storage'

type KeptQuery = PersistedClient['clientState']['queries'][number]
/** What is kept, and under which names; each answer stands beside it by itself. */
type Contents = Pick<PersistedClient, 'timestamp' | 'buster'> & { hashes: string[] }

const KEY = 'okazu.seen'
const THROTTLE_MS = 200
const nameOf = (hash: string) => `${KEY} ${hash}`

/** An answer stays until the next one: that a later question found no network takes nothing away. */
function asAnswered({ promise: _promise, ...query }: KeptQuery): string {
  const state = { ...query.state, status: 'success', fetchStatus: 'idle', error: null, fetchFailureReason: null }
  return JSON.stringify({ ...query, state })
}

/**
 * Keeps the answers of the kitchen on the device, each for itself: one that did not change is not written again, so that keeping
 * costs what came in and not all there is. Answers and contents are written in one transaction.
 */
export function createKeptAnswers() {
  const written = new Map<string, unknown>()
  let waiting: PersistedClient | null = null
  let timer: ReturnType<typeof setTimeout> | null = null

  async function keepNow({ timestamp, buster, clientState }: PersistedClient): Promise<void> {
    const { queries } = clientState
    const changed = queries.filter(({ queryHash, state }) => written.get(queryHash) !== state.data)
    const hashes = queries.map(({ queryHash }) => queryHash)
    const gone = [...written.keys()].filter((hash) => !hashes.includes(hash))
    const contents: Contents = { timestamp, buster, hashes }
    try {
      const answers = changed.map((query): [string, string] => [nameOf(query.queryHash), asAnswered(query)])
      await setMany([...answers, [KEY, contents]])
      changed.forEach(({ queryHash, state }) => written.set(queryHash, state.data))
      if (gone.length > 0) await delMany(gone.map(nameOf))
      gone.forEach((hash) => written.delete(hash))
      noteStore('seen', null)
    } catch (error) {
      noteStore('seen', error)
    }
  }

  async function restoreClient(): Promise<PersistedClient | undefined> {
    const contents = await get<Contents | string>(KEY).catch(() => undefined)
    if (contents === undefined || typeof contents === 'string') return undefined
    const { timestamp, buster, hashes } = contents
    const texts = await getMany<string | undefined>(hashes.map(nameOf)).catch(() => [])
    const queries = texts.flatMap((text) => (text === undefined ? [] : [JSON.parse(text) as KeptQuery]))
    queries.forEach(({ queryHash, state }) => written.set(queryHash, state.data))
    return { timestamp, buster, clientState: { queries, mutations: [] } }
  }

  async function removeClient(): Promise<void> {
    await delMany([KEY, ...[...written.keys()].map(nameOf)]).catch(() => undefined)
    written.clear()
  }

  const persister: Persister = {
    persistClient: (kept) => {
      waiting = kept
      timer ??= setTimeout(() => {
        timer = null
        if (waiting) void keepNow(waiting)
        waiting = null
      }, THROTTLE_MS)
    },
    restoreClient,
    removeClient,
  }
  return { persister, keepNow }
}
