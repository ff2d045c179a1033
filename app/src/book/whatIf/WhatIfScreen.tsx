import type { Dish } from 'contract/dish'
import type { Kitchen, Station } from 'contract/kitchen'
import { heatOf } from 'core/line/batchHeat'
import { ScrollView, View } from 'react-native'
import { useKitchen, useReadsIn } from '../../setup/useKitchen'
import { Button } from '../../ui/Button'
import { Frame } from '../../ui/Frame'
import { PageHeading } from '../../ui/PageHeading'
import { Empty, Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { formatPercent, formatTemp } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useStationChoice, StationChoice } from '../dish/StationChoice'
import { useDishes } from '../useDishes'
import { Answer } from './Answer'
import { Curves } from './Curves'
import { curvesCsv, downloadCsv, downloadPng } from './exportFiles'
import { FlameMap } from './FlameMap'
import { useWhatIf, type WhatIf } from './useWhatIf'
import { Wonder } from './Wonder'

/** What a dish would do in another batch, on another flame, with other rice, sauce, cut or egg: beside what it does today. */
export function WhatIfScreen({ id, stationId }: { id: string; stationId: string | null }) {
  const t = useWords('book')
  const book = useDishes()
  const kitchen = useKitchen()
  const dish = book.data?.dishes.find((one) => one.id === id)
  if (dish && kitchen.data) return <Page dish={dish} kitchen={kitchen.data} stationId={stationId} />
  const fault = book.error ?? kitchen.error
  return (
    <Frame stage="book">
      {book.data && !dish ? (
        <Empty isPage title={t('notThere')} detail={t('notThereDetail')} />
      ) : fault ? (
        <Problem error={fault} onRetry={() => [book.refetch(), kitchen.refetch()]} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </Frame>
  )
}

function Page({ dish, kitchen, stationId }: { dish: Dish; kitchen: Kitchen; stationId: string | null }) {
  const t = useWords('book')
  const choice = useStationChoice(kitchen, dish, stationId)
  const { station } = choice
  return (
    <Frame stage="book">
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="gap-3 p-4">
          <PageHeading size="title" weight="bold" stretch="slim">
            {t('whatIf.title', { dish: dish.name })}
          </PageHeading>
          <StationChoice {...choice} />
          {station ? (
            <Comparison key={station.id} dish={dish} kitchen={kitchen} station={station} />
          ) : (
            <Empty title={t('notThere')} detail={t('notThereDetail')} />
          )}
        </View>
      </ScrollView>
    </Frame>
  )
}

const CURVES_PX = { wide: 296, tall: 400 }
const MAP_PX = { wide: 510, tall: 424 }
const NARROW_PX = 350

function Comparison({ dish, kitchen, station }: { dish: Dish; kitchen: Kitchen; station: Station }) {
  const t = useWords('book')
  const isWide = useIsWide()
  const whatIf = useWhatIf(dish, station, kitchen)
  const { today, wondered, change, todayScore, full, quick, cells } = whatIf
  const traces = { today: todayScore?.trace ?? [], wondered: full.value?.trace ?? [] }
  const lastS = Math.max(120, traces.today.at(-1)?.atS ?? 0, traces.wondered.at(-1)?.atS ?? 0)
  const curves = (
    <View className="flex-row flex-wrap gap-4 md:flex-nowrap">
      {(['today', 'wondered'] as const).map((one) => (
        <Curves
          key={one}
          id={`what-if-${one}`}
          title={t(`whatIf.${one}`)}
          trace={traces[one]}
          lastS={lastS}
          widthPx={isWide ? CURVES_PX.wide : NARROW_PX}
          heightPx={isWide ? CURVES_PX.tall : 300}
          isBehind={one === 'wondered' && full.isBehind}
        />
      ))}
    </View>
  )
  const map = (
    <View>
      <FlameMap
        cells={cells}
        kitchen={kitchen}
        stationKind={station.kind}
        portionRiceG={dish.portionRiceG}
        today={today}
        wondered={wondered}
        outcome={quick?.outcome ?? null}
        widthPx={isWide ? MAP_PX.wide : NARROW_PX}
        heightPx={isWide ? MAP_PX.tall : 300}
        onMove={change}
      />
      <Text size="small" tone="ash" stretch="slim">
        {t('whatIf.map.key')}
      </Text>
    </View>
  )
  const answer = <Answer whatIf={whatIf} portionRiceG={dish.portionRiceG} />
  const exports = <Exports dishId={dish.id} traces={traces} />
  const about = <About station={station} today={today} />
  return isWide ? (
    <View className="gap-3">
      {about}
      <View className="flex-row gap-6">
        {map}
        {curves}
      </View>
      <View className="flex-row gap-8 border-t border-edge pt-3">
        <View className="min-w-0 flex-1">
          <Wonder {...whatIf} dish={dish} />
        </View>
        <View className="w-[380px] gap-3">
          {answer}
          {exports}
        </View>
      </View>
    </View>
  ) : (
    <View className="gap-3">
      {about}
      {answer}
      {map}
      <Wonder {...whatIf} dish={dish} />
      {curves}
      {exports}
    </View>
  )
}

type Traces = Record<'today' | 'wondered', Parameters<typeof curvesCsv>[0][number]['trace']>

/** The curves as a file, and all three drawings as a picture. */
function Exports({ dishId, traces }: { dishId: string; traces: Traces }) {
  const t = useWords('book')
  const both = (['today', 'wondered'] as const).map((one) => ({ name: t(`whatIf.${one}`), trace: traces[one] }))
  return (
    <View className="flex-row gap-2">
      <Button
        size="body"
        label={t('whatIf.csv')}
        onPress={() => downloadCsv(curvesCsv(both), `${dishId}-what-if.csv`)}
      />
      <Button
        size="body"
        label={t('whatIf.png')}
        onPress={() => void downloadPng(['what-if-map', 'what-if-today', 'what-if-wondered'], `${dishId}-what-if.png`)}
      />
    </View>
  )
}

/** What is compared with: the station, and what is usual today. */
function About({ station, today }: { station: Station; today: WhatIf['today'] }) {
  const t = useWords('book')
  const line = useWords('line')
  const readsIn = useReadsIn()
  return (
    <Text tone="ash" stretch="slim">
      {[
        t('whatIf.about', {
          station: station.name,
          kw: heatOf(station).station.powerW / 1000,
          portions: line('portions', { count: today.portions }),
          temp: formatTemp({ tempC: today.riceTempC }, readsIn),
          water: formatPercent(today.riceWaterFraction),
        }),
        ...(station.heat === undefined ? [t('whatIf.estimate', { station: station.name })] : []),
      ].join(' · ')}
    </Text>
  )
}
