import { useRouter } from 'expo-router'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { Button } from '../ui/Button'
import { Empty } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useScrollWindow } from '../ui/useScrollWindow'
import { useOnHand } from '../rice/useLots'
import { formatTimeS } from '../words/format'
import { useWords } from '../words/i18n'
import { BatchAmounts } from './BatchAmounts'
import { FeedSwitch } from './FeedSwitch'
import { FireButton, FireNotices } from './FireBar'
import { LaterDrag } from './hand/LaterDrag'
import { ByHand } from './hand/ByHand'
import { HandsNext } from './HandsNext'
import { laneX, yAt, type LaneGeometry } from './laneGeometry'
import { Drifting } from './Drifting'
import { Lanes, NowLine } from './Lanes'
import { LaterTickets } from './LaterTickets'
import { PlanNotices } from './PlanNotices'
import { useLineWords } from './lineWords'
import type { LineView } from './lineView'
import { placeLabels } from '../score/placeLabels'
import { TicketLabel, ticketLabelPx } from './TicketLabel'
import { TicketList } from './TicketList'
import { useBatchRice, useMiseEnds } from './useSupplies'
import { useMassWords } from '../setup/useMassWords'

const GEOMETRY: LaneGeometry = { timesPx: 46, channelPx: 76, gapPx: 122, pxPerS: 1.5, nowLinePx: 70, aheadS: 900 }
const LABEL_PX = 66

/** The line on a wide screen: tickets, stations on one clock, and what the hands do next with its amounts. */
export function WideLine(view: LineView) {
  const { line, batch, fire, onTicket } = view
  const t = useWords('line')
  const router = useRouter()
  const shown = line.tickets.filter((ticket) => !ticket.isCancelled)
  return (
    <View className="min-h-0 flex-1 flex-row">
      <View className="w-[252px] border-r border-edge">
        <View className="flex-row items-baseline justify-between px-4 pb-2 pt-4">
          <PageHeading weight="bold">{t('wideWaiting', { count: line.portionsWaiting })}</PageHeading>
        </View>
        <PlanNotices line={line} />
        <TicketList
          items={shown}
          keyOf={(ticket) => ticket.id}
          estimatePx={ticketLabelPx}
          header={shown.length === 0 && <Empty title={t('empty')} detail={t('emptyDetail')} />}
          footer={<LaterTickets line={line} />}
          render={(ticket) => (
            <View className="mx-4 border-b border-edge py-1">
              <TicketLabel
                line={line}
                ticket={ticket}
                upMs={line.ups.get(ticket.id)?.upMs ?? null}
                onPress={() => onTicket(ticket)}
              />
            </View>
          )}
        />
        <View className="gap-2 border-t border-edge p-3">
          <Button label={t('addTicket')} onPress={() => router.push('/line/add')} />
          <View className="flex-row gap-2">
            <Button label={t('openRunning')} className="flex-1" onPress={() => router.push('/line/running')} />
            <Button label={t('openPass')} className="w-20" onPress={() => router.push('/line/pass')} />
          </View>
          <FeedSwitch />
        </View>
      </View>
      <WideLanes {...view} />
      <View className="w-[272px] border-l border-edge bg-plate">
        <ScrollView tabIndex={0} className="min-h-0 flex-1 p-4">
          <HandsNext line={line} isWide />
          {batch && (
            <View className="mt-4 gap-1">
              <Text role="heading" aria-level={2} weight="bold">
                {t('amountsOf', { dish: batch.dish.name, portions: t('portions', { count: batch.portions }) })}
              </Text>
              <BatchAmounts batch={batch} />
              <ByHand line={line} batch={batch} />
            </View>
          )}
          <RiceLots line={line} batch={batch} />
          <MiseAhead line={line} />
        </ScrollView>
        <View className="gap-2 border-t border-edge p-3">
          <FireNotices line={line} batch={batch} fire={fire} />
          <View className="flex-row">
            <FireButton line={line} batch={batch} fire={fire} />
          </View>
        </View>
      </View>
    </View>
  )
}

function WideLanes({ line, batch, onBatch }: LineView) {
  const t = useWords('line')
  const words = useLineWords(line)
  const router = useRouter()
  const [heightPx, setHeightPx] = useState(700)
  const seen = useScrollWindow()
  const { atMs } = line
  const y = (ms: number) => yAt(GEOMETRY, atMs, ms)
  const lastUpMs = Math.max(atMs, ...line.batches.map((one) => one.upMs), ...line.runs.map(({ state }) => state.upMs))
  const fullPx = Math.max(heightPx, y(lastUpMs) + 40)
  const things = [
    ...line.runs.map(({ run, state, station }) => ({
      id: run.id,
      stationId: run.stationId,
      y: Math.max(y(run.firedAtMs), GEOMETRY.nowLinePx) + 16,
      title: `${line.dishes.find((one) => one.id === run.dishId)?.shortName ?? run.dishName}, ${run.parts.reduce((sum, part) => sum + part.portions, 0)}`,
      detail: `${[...new Set(run.parts.map((part) => part.ticketNumber))].join(', ')} · ${t('up', { time: formatTimeS(state.upMs, line.kitchen.timeZone) })}`,
      station,
    })),
    ...line.batches.map((one) => ({
      id: one.key,
      stationId: one.stationId,
      y: y(one.startMs) + 16,
      title: `${one.dish.shortName}, ${one.portions}`,
      detail: `${words.tickets(one)} · ${t('up', { time: words.time(one.upMs) })}`,
      station: one.station,
    })),
  ]
  return (
    <View className="min-w-0 flex-1" onLayout={(event) => setHeightPx(event.nativeEvent.layout.height - 62)}>
      <View className="h-[62px] flex-row border-b border-edge" style={{ paddingLeft: GEOMETRY.timesPx + 8 }}>
        {line.kitchen.stations.map((station) => (
          <View key={station.id} className="justify-center" style={{ width: GEOMETRY.channelPx + GEOMETRY.gapPx }}>
            <Text size="title" weight="bold" stretch="wide" numberOfLines={1}>
              {station.name}
            </Text>
            <Text size="small" tone="ash">
              {[
                words.stationState(station.id),
                station.powerW === null ? null : t('power', { kw: station.powerW / 1000 }),
                t('takes', { count: station.capPortions }),
              ]
                .filter(Boolean)
                .join(' · ')}
            </Text>
          </View>
        ))}
      </View>
      <ScrollView tabIndex={0} className="min-h-0 flex-1" {...seen.scroll} onLayout={seen.onLayout}>
        <View style={{ height: fullPx, paddingLeft: 8 }}>
          <Drifting atMs={atMs} pxPerS={GEOMETRY.pxPerS}>
            <LaterDrag line={line} geometry={GEOMETRY}>
              <Lanes
                line={line}
                geometry={GEOMETRY}
                heightPx={fullPx}
                chosenKey={batch?.key ?? null}
                hasTitles={false}
                isSeen={seen.isSeen}
                onBatch={onBatch}
                onRun={({ run }) => router.push(`/wok/${run.id}`)}
              />
            </LaterDrag>
            {line.kitchen.stations.map((station, index) =>
              placeLabels(
                things
                  .filter((thing) => thing.stationId === station.id)
                  .map((thing) => ({ ...thing, heightPx: LABEL_PX })),
                GEOMETRY.nowLinePx + 6,
              )
                .filter(({ labelY }) => seen.isSeen(labelY, labelY + LABEL_PX))
                .map((thing) => (
                  <View
                    key={thing.id}
                    className="pointer-events-none absolute"
                    style={{
                      left: laneX(GEOMETRY, index) + GEOMETRY.channelPx + 18,
                      top: thing.labelY,
                      width: GEOMETRY.gapPx - 22,
                    }}
                  >
                    <Text weight="bold" stretch="slim" numberOfLines={1}>
                      {thing.title}
                    </Text>
                    <Text size="small" tone="ash" stretch="narrow" numberOfLines={2}>
                      {thing.detail}
                    </Text>
                  </View>
                )),
            )}
          </Drifting>
          <View className="pointer-events-none absolute left-2 top-0">
            <NowLine line={line} geometry={GEOMETRY} />
          </View>
        </View>
      </ScrollView>
    </View>
  )
}

const MOST_ENDS = 5

/** What of the mise the next half hour uses up, and with which ticket. */
function MiseAhead({ line }: Pick<LineView, 'line'>) {
  const { mass } = useMassWords()
  const t = useWords('line')
  const ends = useMiseEnds(line)
  if (ends.length === 0) return null
  return (
    <View className="mt-4 gap-1" aria-live="polite">
      <Text tone="ash">{t('miseAhead')}</Text>
      {ends.slice(0, MOST_ENDS).map(({ itemId, name, ticketNumber, shortG }) => (
        <View key={itemId} className="flex-row justify-between gap-2">
          <Text stretch="slim" className="min-w-0 flex-1">
            {t('miseEnds', { name, ticket: ticketNumber })}
          </Text>
          <Text weight="bold" stretch="narrow">
            {t('miseShort', { mass: mass(shortG) })}
          </Text>
        </View>
      ))}
      {ends.length > MOST_ENDS && <Text tone="ash">{t('miseMore', { count: ends.length - MOST_ENDS })}</Text>}
    </View>
  )
}

function RiceLots({ line, batch }: Pick<LineView, 'line' | 'batch'>) {
  const { mass } = useMassWords()
  const t = useWords('line')
  const lots = useOnHand()
  const rice = useBatchRice(line, batch)
  const mostG = Math.max(...lots.map((lot) => lot.massG), 1)
  return (
    <View className="mt-4 gap-2">
      <Text tone="ash">{t('rice')}</Text>
      {rice.shortG > 0 && <Text weight="bold">{t('riceShort', { mass: mass(rice.shortG) })}</Text>}
      {lots.map((lot) => (
        <View key={lot.id} className="gap-1">
          <View className="flex-row justify-between">
            <Text weight={rice.names.includes(lot.name) ? 'bold' : 'normal'} stretch="slim">
              {lot.stage === 'tempering' ? t('riceOut', { name: lot.name }) : lot.name}
            </Text>
            <Text weight="bold" stretch="narrow">
              {mass(lot.massG)}
            </Text>
          </View>
          <View className="h-2 bg-edge">
            <View className="h-2 bg-rice" style={{ width: `${(lot.massG / mostG) * 100}%` }} />
          </View>
        </View>
      ))}
    </View>
  )
}
