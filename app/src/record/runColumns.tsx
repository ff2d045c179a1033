import type { RunRow } from 'contract/run'
import { scaleLinear } from 'd3-scale'
import { View } from 'react-native'
import { Diamond, SlashDisc } from '../ui/icons'
import type { DataColumn } from '../ui/table/useDataTable'
import { Text } from '../ui/Text'
import { formatClock, formatDay, formatLate, formatTime } from '../words/format'
import type { useWords } from '../words/i18n'

const LATE_S = 30
const BAR_PX = 130
/** The longest run that the bar shows in full [s]. */
const BAR_S = 600

type Names = { station: (id: string) => string; cook: (id: string | null) => string }

/** The columns of the record's table. */
export function runColumns(t: ReturnType<typeof useWords<'record'>>, zone: string, names: Names): DataColumn<RunRow>[] {
  return [
    {
      id: 'fired',
      title: t('column.fired'),
      value: (run) => new Date(run.firedAtMs).toISOString(),
      cell: (run) => (
        <Text stretch="narrow" numberOfLines={1}>
          <Text weight="bold" stretch="narrow">
            {formatTime(run.firedAtMs, zone)}
          </Text>
          {` ${formatDay(run.firedAtMs, zone)}`}
        </Text>
      ),
      widthPx: 122,
    },
    {
      id: 'dish',
      title: t('column.dish'),
      value: (run) => run.dishName,
      cell: (run) => (
        <View className="flex-row items-center gap-1.5">
          {run.hasAllergy && <SlashDisc sizePx={15} color="rgb(var(--rice))" />}
          <Text weight="bold" stretch="slim" numberOfLines={1} className="min-w-0 shrink">
            {run.dishName}
          </Text>
        </View>
      ),
      widthPx: 130,
      isGrowing: true,
    },
    { id: 'portions', title: t('column.portions'), value: (run) => run.portions, widthPx: 66, isNumber: true },
    {
      id: 'bar',
      title: t('column.bar'),
      value: (run) => (run.actualS === null ? null : run.actualS - run.plannedS),
      cell: (run) => <PlanBar run={run} />,
      widthPx: BAR_PX + 12,
    },
    {
      id: 'took',
      title: t('column.took'),
      value: (run) => run.actualS,
      cell: (run) => (
        <Text weight="bold" stretch="narrow">
          {run.state === 'stopped' ? t('stopped') : run.actualS === null ? '' : formatClock(run.actualS)}
        </Text>
      ),
      widthPx: 60,
      isNumber: true,
    },
    {
      id: 'late',
      title: t('column.late'),
      value: (run) => run.afterPromiseS,
      cell: (run) => (
        <View className="flex-row items-center gap-1">
          {(run.afterPromiseS ?? 0) > LATE_S && <Diamond sizePx={10} />}
          <Text stretch="narrow">{run.afterPromiseS === null ? '' : formatLate(run.afterPromiseS)}</Text>
        </View>
      ),
      widthPx: 84,
      isNumber: true,
    },
    {
      id: 'station',
      title: t('column.station'),
      value: (run) => names.station(run.stationId),
      widthPx: 76,
      isExtra: true,
    },
    { id: 'cook', title: t('column.cook'), value: (run) => names.cook(run.cookId), widthPx: 84, isExtra: true },
    { id: 'lots', title: t('column.lots'), value: (run) => run.lots.join(' + '), widthPx: 84, isExtra: true },
    { id: 'tickets', title: t('column.tickets'), value: (run) => run.tickets.join(', '), widthPx: 84, isExtra: true },
    {
      id: 'troubles',
      title: t('column.trouble'),
      value: (run) => run.troubles,
      widthPx: 76,
      isNumber: true,
      isExtra: true,
    },
  ]
}

/** Plan as a grey bar, the run over it; what it took longer stands out. */
function PlanBar({ run }: { run: RunRow }) {
  const px = scaleLinear([0, BAR_S], [0, BAR_PX]).clamp(true)
  const overS = Math.max(0, (run.actualS ?? 0) - run.plannedS)
  return (
    <View className="h-3 flex-row items-center" aria-hidden>
      <View className="h-2 bg-line" style={{ width: px(Math.min(run.plannedS, run.actualS ?? run.plannedS)) }} />
      {overS > 0 && <View className="h-3 bg-rice" style={{ width: Math.max(2, px(overS)) }} />}
    </View>
  )
}
