import { useRouter, type Href } from 'expo-router'
import { useState } from 'react'
import { Pressable, ScrollView, View } from 'react-native'
import Svg, { Circle, Path } from 'react-native-svg'
import { useNowMs } from '../device/clock'
import { Button } from '../ui/Button'
import { Sheet } from '../ui/Sheet'
import { Empty } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useScrollWindow } from '../ui/useScrollWindow'
import { formatMassG, formatTimeS } from '../words/format'
import { useWords } from '../words/i18n'
import { useBatchRice } from './useBatchRice'
import { BatchAmounts } from './BatchAmounts'
import { FireButton, FireNotices } from './FireBar'
import { ByHand } from './hand/ByHand'
import { HandsNext } from './HandsNext'
import { laneX, yAt, type LaneGeometry } from './laneGeometry'
import { Lanes } from './Lanes'
import { useLineWords } from './lineWords'
import type { LineView } from './lineView'
import {} from './nextForHands'
import { placeLabels } from '../score/placeLabels'
import { LaterTickets } from './LaterTickets'
import { PlanNotices } from './PlanNotices'
import { TicketLabel, ticketLabelPx } from './TicketLabel'

const GEOMETRY: LaneGeometry = { timesPx: 36, channelPx: 44, gapPx: 9, pxPerS: 0.8, nowLinePx: 46, aheadS: 900 }

/** The line on a phone: every station on one clock; a ticket stands where its last batch is up. */
export function PhoneLine({ line, batch, onBatch, onTicket }: LineView) {
  const t = useWords('line')
  const router = useRouter()
  const nowMs = useNowMs()
  const [widthPx, setWidthPx] = useState(390)
  const seen = useScrollWindow()
  const words = useLineWords(line)
  const lanesPx = laneX(GEOMETRY, line.kitchen.stations.length) - GEOMETRY.gapPx
  const isPlanned = (id: string) => !line.pending.some(({ parts }) => parts.some(({ ticketId }) => ticketId === id))
  const open = line.tickets.filter((ticket) => !ticket.isCancelled)
  const shown = open.filter(({ id }) => isPlanned(id))
  const labels = placeLabels(
    shown.map((ticket) => {
      const up = line.ups.get(ticket.id) ?? null
      return { ticket, up, y: up ? yAt(GEOMETRY, nowMs, up.upMs) : 0, heightPx: ticketLabelPx(ticket) }
    }),
    26,
  )
  const lastUpMs = Math.max(nowMs, ...line.batches.map((one) => one.upMs), ...line.runs.map(({ state }) => state.upMs))
  const isLabelSeen = (label: { y: number; labelY: number; heightPx: number }) =>
    seen.isSeen(Math.min(label.y, label.labelY), Math.max(label.y, label.labelY + label.heightPx))
  const drawn = labels.filter(isLabelSeen)
  const bottomPx = Math.max(
    yAt(GEOMETRY, nowMs, lastUpMs) + 30,
    ...labels.map((label) => label.labelY + label.heightPx),
    330,
  )
  return (
    <>
      <View className="flex-row items-center justify-between border-b border-edge bg-plate px-4 py-2">
        <View>
          <PageHeading weight="bold">{`${t('title')}, ${t('waiting', { count: line.portionsWaiting })}`}</PageHeading>
          <Text size="small" tone="ash">
            {words.nextBoat(nowMs)}
          </Text>
        </View>
        <Text size="title" weight="bold" stretch="narrow">
          {formatTimeS(nowMs, line.kitchen.timeZone)}
        </Text>
      </View>
      <HandsNext line={line} nowMs={nowMs} isWide={false} />
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
            {[station.name.replace(/^Ring /, ''), line.wishes.downStations.includes(station.id) ? t('stationDown') : '']
              .filter(Boolean)
              .join(' ')}
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
            <Lanes
              line={line}
              nowMs={nowMs}
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
              <View key={ticket.id} className="absolute right-2" style={{ left: lanesPx + 26, top: labelY }}>
                <TicketLabel line={line} ticket={ticket} upMs={up?.upMs ?? null} onPress={() => onTicket(ticket)} />
              </View>
            ))}
          </View>
        )}
        <LaterTickets line={line} />
      </ScrollView>
    </>
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
    <View className="pointer-events-none absolute left-1 top-0">
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

/** Under the thumb: what the batch takes in a line, what to say aloud, Fire, and a new ticket. */
export function PhoneLineBar({ line, batch, fire }: LineView) {
  const t = useWords('line')
  const router = useRouter()
  const words = useLineWords(line)
  const [isOpen, setIsOpen] = useState(false)
  const rice = useBatchRice(line, batch)
  return (
    <View className="gap-2">
      <FireNotices line={line} batch={batch} fire={fire} />
      {batch && (
        <Pressable
          role="button"
          aria-label={t('showAmounts')}
          onPress={() => setIsOpen(true)}
          className="ring-focus min-h-14 justify-center rounded-lg border border-edge px-3 active:bg-ground"
        >
          <Text weight="bold" stretch="slim" numberOfLines={1}>
            {[
              formatMassG(batch.riceMassG),
              rice.names.length > 0 ? t('riceFrom', { name: rice.names.join(' + ') }) : '',
              rice.shortG > 0 ? t('riceShort', { mass: formatMassG(rice.shortG) }) : '',
            ]
              .filter(Boolean)
              .join(' ')}
          </Text>
          <Text tone="ash" stretch="slim" numberOfLines={1}>
            {`${t('amounts')} · ${words.tickets(batch)}`}
          </Text>
        </Pressable>
      )}
      <View className="flex-row gap-2.5">
        <FireButton line={line} batch={batch} fire={fire} />
        <Button isTall label={t('addTicket')} className="w-[92px]" onPress={() => router.push('/line/add')} />
      </View>
      {batch && (
        <Sheet
          title={t('amountsOf', { dish: batch.dish.name, portions: t('portions', { count: batch.portions }) })}
          isOpen={isOpen}
          onClose={() => setIsOpen(false)}
        >
          <BatchAmounts batch={batch} />
          <ByHand line={line} batch={batch} />
        </Sheet>
      )}
    </View>
  )
}
