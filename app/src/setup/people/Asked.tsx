import type { ReactNode } from 'react'
import { Empty, Loading, Problem } from '../../ui/states'
import { useWords } from '../../words/i18n'

type AskedProps<T> = {
  mayRead: boolean
  /** What those read who may not. */
  otherwise: string
  query: { error: Error | null; refetch: () => Promise<unknown> }
  /** Undefined until it has come. */
  data: T | undefined
  children: (data: T) => ReactNode
}

/** What only some may see: a sentence for the others; else that it is fetched, that it failed, or what came. */
export function Asked<T>({ mayRead, otherwise, query, data, children }: AskedProps<T>) {
  const t = useWords('people')
  if (!mayRead) return <Empty title={otherwise} detail="" />
  if (data !== undefined) return <>{children(data)}</>
  if (query.error) return <Problem error={query.error} onRetry={() => void query.refetch()} />
  return <Loading what={t('setup.loading')} />
}
