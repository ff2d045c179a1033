import type { Tonight } from 'contract/riceHouse'
import { drawDown } from 'core/rice/plan/tonight'
import { inOrderOfUse } from 'core/rice/lot/allocate'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { Pressable, ScrollView, useWindowDimensions, View } from 'react-native'
import { valueOf, WORKING } from '../../device/worked'
import { Text } from '../../ui/Text'
import { formatTemp } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useLotWords } from '../lotWords'
import { readyAtMs } from '../shelf/nextTask'
import { fillOf, LotPan, type ShelfProps } from '../shelf/Shelf'
import { onHandOf, type ShownLot } from '../useLots'
import { WallCurves } from './WallCurves'
import { wallPlaces, type WallPlace } from './wallColumns'

const TIME_PX = 58
const MAX_COLUMN_PX = 190
const MIN_COLUMN_PX = 96
const GAP_PX = 8
const MARGIN_PX = 16
const CURVES_PX = 330
const MAX_CURVES_PX = 640
/** What stands above and below the curves: cover, trays, actions, the note. */
const AROUND_PX = 470
const HOUR_MS = 3_600_000
const BACK_MS = 3 * HOUR_MS
const AHEAD_MS = 4 * HOUR_MS

/** The kitchen in section: places side by side along the wall, every tray with its cooling curve and its action beneath it. */
export function Wall(props: ShelfProps & { demands: Tonight['demands']; taskLotId: string | null }) {
  const { lots, watched, house, kitchen, nowMs, demands, taskLotId } = props
  const t = useWords('rice')
  const words = useLotWords(kitchen, house)
  const [widthPx, setWidthPx] = useState(0)
  const { height: windowPx } = useWindowDimensions()
  const curvesPx = Math.min(MAX_CURVES_PX, Math.max(CURVES_PX, windowPx - AROUND_PX))
  const places = wallPlaces(lots, house, { heat: t('places.heat'), elsewhere: t('places.none') })
  const columns = places.flatMap((place) => place.columns)
  const fitPx = (widthPx - TIME_PX) / Math.max(1, columns.length) - GAP_PX
  const columnPx = Math.min(MAX_COLUMN_PX, Math.max(MIN_COLUMN_PX, fitPx))
  const wallPx = TIME_PX + columns.length * (columnPx + GAP_PX)
  const uses = drawDown(
    inOrderOfUse(lots.flatMap(onHandOf)).map(({ id, massG }) => ({ id, massG })),
    demands.map((one) => ({ ...one, atMs: Math.max(one.atMs, nowMs) })),
  )
  const drawn = columns.map(({ shown }, i) => ({
    id: shown.lot.id,
    xPx: TIME_PX + i * (columnPx + GAP_PX),
    forecast: valueOf(watched.get(shown.lot.id) ?? WORKING)?.forecast ?? null,
    tempC: tempOf(shown),
    bornMs: shown.lot.bornAtMs,
  }))
  return (
    <View onLayout={(event) => setWidthPx(event.nativeEvent.layout.width - 2 * MARGIN_PX)} className="px-4 pt-2">
      <ScrollView horizontal tabIndex={0}>
        <View style={{ width: Math.max(wallPx, widthPx) }}>
          <View className="flex-row items-stretch" style={{ paddingLeft: TIME_PX }}>
            {places.map((place) => (
              <PlaceBay key={place.id} {...props} place={place} columnPx={columnPx} />
            ))}
          </View>
          {widthPx > 0 && (
            <WallCurves
              columns={drawn}
              uses={uses}
              columnPx={columnPx}
              widthPx={wallPx}
              heightPx={curvesPx}
              fromMs={nowMs - BACK_MS}
              toMs={nowMs + AHEAD_MS}
              nowMs={nowMs}
              timeZone={kitchen.timeZone}
            />
          )}
          <View className="flex-row pt-1" style={{ paddingLeft: TIME_PX, gap: GAP_PX }}>
            {columns.map(({ shown }) => (
              <View key={shown.lot.id} style={{ width: columnPx }} className="gap-1">
                <Text size="small" stretch="narrow" className="text-center" numberOfLines={2}>
                  {words.status(shown, valueOf(watched.get(shown.lot.id) ?? WORKING), nowMs)}
                </Text>
                <TrayAction shown={shown} isTask={shown.lot.id === taskLotId} nowMs={nowMs} />
              </View>
            ))}
          </View>
        </View>
      </ScrollView>
    </View>
  )
}

/** What a lot reads, as it is drawn; a load on the heat is not drawn before it is spread. */
function tempOf({ state }: ShownLot): number | null {
  return state.stage === 'cooking' ? null : state.lastTempC
}

/** A place as a bay of the wall: its name, its air, the trays on its shelf. */
function PlaceBay({ place, columnPx, ...props }: ShelfProps & { place: WallPlace; columnPx: number }) {
  const widthPx = place.columns.length * (columnPx + GAP_PX)
  return (
    <View
      role="group"
      aria-label={place.name}
      style={{ width: widthPx }}
      className="justify-between border-x border-b-4 border-line pt-1"
    >
      <View className="flex-row items-baseline justify-between gap-1 px-1.5">
        <Text role="heading" aria-level={2} weight="bold" stretch="slim" numberOfLines={1} className="min-w-0 shrink">
          {place.name}
        </Text>
        {place.airTempC !== null && (
          <Text size="small" weight="bold" stretch="narrow" numberOfLines={1} className="shrink-0">
            {formatTemp({ tempC: place.airTempC }, props.kitchen.readsIn)}
          </Text>
        )}
      </View>
      <View className="flex-row">
        {place.columns.map(({ shown }) => (
          <View key={shown.lot.id} style={{ width: columnPx + GAP_PX }} className="items-center overflow-hidden">
            <LotPan {...props} shown={shown} isBare />
          </View>
        ))}
      </View>
    </View>
  )
}

/** What is done at this tray next; the page of the lot has the rest. */
function TrayAction({ shown, isTask, nowMs }: { shown: ShownLot; isTask: boolean; nowMs: number }) {
  const t = useWords('rice')
  const router = useRouter()
  const label = t(`wall.${actionOf(shown, nowMs)}`)
  return (
    <Pressable
      role="link"
      aria-label={`${label}, ${shown.lot.name}`}
      onPress={() => router.push(`/rice/${shown.lot.id}`)}
      className={`ring-focus min-h-11 items-center justify-center rounded-lg active:bg-plate ${isTask ? 'border-[3px] border-rice' : 'border border-line'}`}
    >
      <Text weight="bold" stretch="slim">
        {label}
      </Text>
    </Pressable>
  )
}

type WallAction = 'weigh' | 'wait' | 'read' | 'carry' | 'fry' | 'thaw' | 'bin'

function actionOf(shown: ShownLot, nowMs: number): WallAction {
  if (fillOf(shown) === 'struck') return 'bin'
  switch (shown.state.stage) {
    case 'cooking':
      return (readyAtMs(shown) ?? 0) <= nowMs ? 'weigh' : 'wait'
    case 'cooling':
    case 'chilling':
      return 'read'
    case 'ready':
      return 'carry'
    case 'tempering':
      return 'fry'
    case 'frozen':
      return 'thaw'
    case 'used':
    case 'refused':
    case 'discarded':
      return 'bin'
  }
}
