import { useRouter, type Href } from 'expo-router'
import { useState } from 'react'
import { Pressable, ScrollView, View } from 'react-native'
import Svg, { Circle, Path } from 'react-native-svg'
import { useNowMs } from '../device/clock'
import { Empty } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useScrollWindow } from '../ui/useScrollWindow'
import { formatTimeS } from '../words/format'
import { useWords } from '../words/i18n'
import { HandsNext } from './HandsNext'
import { laneX, yAt, type LaneGeometry } from './laneGeometry'
import { Drifting } from './Drifting'
import { Lanes, NowLine } from './Lanes'
import { useLineWords } from './lineWords'
import type { LineView } from './lineView'
import { placeLabels } from '../score/placeLabels'
import { LaterTickets } from './LaterTickets'
import { PlanNotices } from './PlanNotices'
import { TicketLabel, ticketLabelPx } from './TicketLabel'

const GEOMETRY: LaneGeometry = { timesPx: 36, channelPx: 44, gapPx: 9, pxPerS: 0.8, nowLinePx: 46, aheadS: 900 }

/** The line on a phone: every station on one clock; a ticket stands where its last batch is up. */
export function PhoneLine({ line, batch, onBatch, onTicket }: LineView) {
  const t = useWords('line')
  const router = useRouter()
  const { atMs } = line
  const words = useLineWords(line)
  const [widthPx, setWidthPx] = useState(390)
  const seen = useScrollWindow()
  const lanesPx = laneX(GEOMETRY, line.kitchen.stations.length) - GEOMETRY.gapPx
  const isPlanned = (id: string) => !line.pending.some(({ parts }) => parts.some(({ ticketId }) => ticketId === id))
  const open = line.tickets.filter((ticket) => !ticket.isCancelled)
  const shown = open.filter(({ id }) => isPlanned(id))
  const labels = placeLabels(
    shown.map((ticket) => {
      const up = line.ups.get(ticket.id) ?? null
      return { ticket, up, y: up ? yAt(GEOMETRY, atMs, up.upMs) : 0, heightPx: ticketLabelPx(ticket) }
    }),
    26,
  )
  const lastUpMs = Math.max(atMs, ...line.batches.map((one) => one.upMs), ...line.runs.map(({ state }) => state.upMs))
  const isLabelSeen = (label: { y: number; labelY: number; heightPx: number }) =>
    seen.isSeen(Math.min(label.y, label.labelY), Math.max(label.y, label.labelY + label.heightPx))
  const drawn = labels.filter(isLabelSeen)
  const bottomPx = Math.max(
    yAt(GEOMETRY, atMs, lastUpMs) + 30,
    ...labels.map((label) => label.labelY + label.heightPx),
    330,
  )
  return (
    <>
      <View className="flex-row items-center justify-between border-b border-edge bg-plate px-4 py-2">
        <View>
          <PageHeading weight="bold">{`${t('title')}, ${t('waiting', { count: line.portionsWaiting })}`}</PageHeading>
          <NextBoat line={line} />
        </View>
        <Clock zone={line.kitchen.timeZone} />
      </View>
      <HandsNext line={line} isWide={false} />
      <PlanNotices line={line} />
      <View className="flex-row items-center" style={{ paddingLeft: GEOMETRY.timesPx + 4 }}>
        {line.kitchen.stations.map((station) => (
          <Text
            key={station.id}
            size="small"
            weight="bold"
            stretch="narrow"
            numberOfLines={1}
            className="text-center"
            {...{ style: { width: GEOMETRY.channelPx + GEOMETRY.gapPx } }}
          >
            {[station.name.replace(/^Ring /, ''), words.stationState(station.id, true)].filter(Boolean).join(' ')}
          </Text>
        ))}
        <View className="flex-1 flex-row items-center justify-end">
          <LineLink label={t('openRunning')} href="/line/running" />
          <LineLink label={t('openPass')} href="/line/pass" />
        </View>
      </View>
      <ScrollView
        tabIndex={0}
        className="min-h-0 flex-1"
        {...seen.scroll}
        onLayout={(event) => {
          setWidthPx(event.nativeEvent.layout.width)
          seen.onLayout(event)
        }}
      >
        {open.length === 0 && line.runs.length === 0 ? (
          <Empty title={t('empty')} detail={t('emptyDetail')} />
        ) : (
          <View style={{ height: bottomPx, paddingLeft: 4 }}>
            <Drifting atMs={atMs} pxPerS={GEOMETRY.pxPerS}>
              <Lanes
                line={line}
                geometry={GEOMETRY}
                heightPx={bottomPx}
                chosenKey={batch?.key ?? null}
                hasTitles
                isSeen={seen.isSeen}
                onBatch={onBatch}
                onRun={({ run }) => router.push(`/wok/${run.id}`)}
              />
              <Leaders labels={drawn} line={line} lanesPx={lanesPx} heightPx={bottomPx} widthPx={widthPx} />
              {drawn.map(({ ticket, labelY, up }) => (
                <View key={ticket.id} className="absolute right-2" style={{ left: lanesPx + 22, top: labelY }}>
                  <TicketLabel line={line} ticket={ticket} upMs={up?.upMs ?? null} onPress={() => onTicket(ticket)} />
                </View>
              ))}
            </Drifting>
            <View className="pointer-events-none absolute left-1 top-0">
              <NowLine line={line} geometry={GEOMETRY} />
            </View>
          </View>
        )}
        <LaterTickets line={line} />
      </ScrollView>
    </>
  )
}

const BOATS_EVERY_MS = 20_000

function NextBoat({ line }: Pick<LineView, 'line'>) {
  const words = useLineWords(line)
  return (
    <Text size="small" tone="ash">
      {words.nextBoat(useNowMs(BOATS_EVERY_MS))}
    </Text>
  )
}

function Clock({ zone }: { zone: string }) {
  return (
    <Text size="title" weight="bold" stretch="narrow">
      {formatTimeS(useNowMs(), zone)}
    </Text>
  )
}

type Placed = { labelY: number; y: number; up: { upMs: number; stationId: string } | null; ticket: { id: string } }

/** From where a ticket's last batch is up to where the ticket is written. */
function Leaders({
  labels,
  line,
  lanesPx,
  heightPx,
  widthPx,
}: {
  labels: readonly Placed[]
  line: LineView['line']
  lanesPx: number
  heightPx: number
  widthPx: number
}) {
  return (
    <View className="pointer-events-none absolute left-0 top-0">
      <Svg width={Math.min(widthPx, lanesPx + 24)} height={heightPx} aria-hidden>
        {labels.map(({ ticket, y, labelY, up }) => {
          if (!up) return null
          const index = line.kitchen.stations.findIndex((one) => one.id === up.stationId)
          const x = laneX(GEOMETRY, index) + GEOMETRY.channelPx / 2
          return (
            <Path
              key={ticket.id}
              d={`M ${x} ${y} H ${lanesPx + 6} L ${lanesPx + 20} ${labelY + 16}`}
              stroke="rgb(var(--in-channel))"
              strokeWidth={1.4}
              fill="none"
              opacity={0.85}
            />
          )
        })}
        {labels.map(({ ticket, y, up }) => {
          if (!up) return null
          const index = line.kitchen.stations.findIndex((one) => one.id === up.stationId)
          return (
            <Circle
              key={ticket.id}
              cx={laneX(GEOMETRY, index) + GEOMETRY.channelPx / 2}
              cy={y}
              r={3}
              fill="rgb(var(--in-channel))"
            />
          )
        })}
      </Svg>
    </View>
  )
}

function LineLink({ label, href }: { label: string; href: Href }) {
  const router = useRouter()
  return (
    <Pressable
      role="link"
      onPress={() => router.push(href)}
      className="ring-focus min-h-14 justify-center px-2.5 active:bg-plate"
    >
      <Text weight="semi" stretch="narrow" className="border-b border-line">
        {label}
      </Text>
    </Pressable>
  )
}
