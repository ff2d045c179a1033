import { Frame } from '../../ui/Frame'
import { Empty, Loading, Problem } from '../../ui/states'
import { useWords } from '../../words/i18n'
import { useRun } from '../../wok/useRuns'
import { Finder } from './Finder'
import { useComparison, type Suspect } from './useComparison'

/** From a complaint of a run, a ticket or an evening to its likely causes with their evidence, and one change to try. */
export function FaultScreen({ suspect }: { suspect: Suspect }) {
  const t = useWords('record')
  const comparison = useComparison(suspect)
  const { data, error } = comparison
  const first = data?.runs.at(0)
  if (data && first) return <Chosen suspect={suspect} comparison={data} firstId={first.runId} />
  return (
    <Frame stage="record">
      {data ? (
        <Empty isPage title={t('fault.noRuns')} detail={t('fault.noRunsDetail')} />
      ) : error ? (
        <Problem error={error} onRetry={() => void comparison.refetch()} />
      ) : (
        <Loading what={t('fault.loading')} />
      )}
    </Frame>
  )
}

type ChosenProps = {
  suspect: Suspect
  comparison: NonNullable<ReturnType<typeof useComparison>['data']>
  firstId: string
}

/** A ticket goes by its number, which its first run knows. */
function Chosen({ suspect, comparison, firstId }: ChosenProps) {
  const { run } = useRun(firstId)
  const part = suspect.kind === 'ticket' ? run?.parts.find(({ ticketId }) => ticketId === suspect.id) : undefined
  return <Finder suspect={suspect} comparison={comparison} ticketNumber={part?.ticketNumber ?? null} />
}
