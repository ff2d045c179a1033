import { Loading, Problem } from '../ui/states'
import { useWords } from '../words/i18n'
import { CookRun } from './CookRun'
import { sayOfRun, useRun } from './useRuns'

export { RehearseScreen } from './rehearse/RehearseScreen'

export function CookScreen({ id }: { id: string }) {
  const t = useWords('wok')
  const { run, isPending, error, refetch } = useRun(id)
  if (run) return <CookRun run={run} say={sayOfRun} />
  if (error && !isPending) return <Problem error={error} onRetry={() => void refetch()} />
  return <Loading what={t('loading')} />
}
