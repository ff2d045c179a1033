import { cookedMassOf } from 'core/rice/waterBalance'
import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse, RicePlace } from 'contract/riceHouse'
import { valueOf, WORKING } from '../../device/worked'
import { inOrderOfUse } from 'core/rice/lot/allocate'
import { useRouter } from 'expo-router'
import { View } from 'react-native'
import { Text } from '../../ui/Text'
import { formatClock, formatTemp, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useLotWords } from '../lotWords'
import { Pan, type PanFill } from './Pan'
import { placeIdOf } from './placeOf'
import type { WatchedLots } from '../useRiceWork'
import { onHandOf, type ShownLot } from '../useLots'
import { useMassWords } from '../../setup/useMassWords'

export type ShelfProps = {
  lots: readonly ShownLot[]
  watched: WatchedLots
  kitchen: Kitchen
  house: RiceHouse
  nowMs: number
}

const FULL_TRAY_G = 5500
const ON_HEAT: Pick<RicePlace, 'id' | 'kind' | 'airTempC'> = { id: 'heat', kind: 'rack', airTempC: null }

/** The kitchen in section: each place a shelf with the trays that stand on it. */
export function Shelf(props: ShelfProps) {
  const { lots, house } = props
  const t = useWords('rice')
  const onHeat = lots.filter(({ state }) => state.stage === 'cooking')
  const placed = lots.filter(({ state }) => state.stage !== 'cooking')
  const isKnown = (shown: ShownLot) => house.places.some((place) => place.id === placeIdOf(shown, house))
  const elsewhere = placed.filter((shown) => !isKnown(shown))
  return (
    <View>
      {onHeat.length > 0 && <PlaceShelf {...props} place={ON_HEAT} name={t('places.heat')} own={onHeat} />}
      {house.places.map((place) => {
        const own = placed.filter((shown) => placeIdOf(shown, house) === place.id)
        if (own.length === 0) return null
        return <PlaceShelf key={place.id} {...props} place={place} name={place.name} own={own} />
      })}
      {elsewhere.length > 0 && <PlaceShelf {...props} place={ON_HEAT} name={t('places.none')} own={elsewhere} />}
    </View>
  )
}

function PlaceShelf({
  place,
  name,
  own,
  ...props
}: ShelfProps & { place: Pick<RicePlace, 'id' | 'kind' | 'airTempC'>; name: string; own: readonly ShownLot[] }) {
  return (
    <View role="group" aria-label={name} className="border-t border-edge px-4 pt-2">
      <View className="flex-row items-baseline justify-between">
        <Text role="heading" aria-level={2} weight="bold">
          {name}
        </Text>
        {place.airTempC !== null && (
          <Text weight="bold" stretch="narrow">
            {formatTemp({ tempC: place.airTempC }, props.kitchen.readsIn)}
          </Text>
        )}
      </View>
      {place.kind === 'bench' && own.map((shown) => <OutClock key={shown.lot.id} shown={shown} {...props} />)}
      <View className="flex-row flex-wrap gap-x-1">
        {own.map((shown) => (
          <LotPan key={shown.lot.id} shown={shown} {...props} />
        ))}
      </View>
      <View className="mb-2 h-1 bg-line" aria-hidden />
    </View>
  )
}

/** A lot's tray; bare where what is said of it stands elsewhere. */
export function LotPan({
  shown,
  lots,
  watched,
  kitchen,
  house,
  nowMs,
  isBare = false,
}: ShelfProps & { shown: ShownLot; isBare?: boolean }) {
  const { bulk } = useMassWords()
  const t = useWords('rice')
  const router = useRouter()
  const words = useLotWords(kitchen, house)
  const { lot, state } = shown
  const order = inOrderOfUse(lots.flatMap(onHandOf)).findIndex((one) => one.id === lot.id)
  const massG = state.stage === 'cooking' ? cookedMassOf(lot.load) : state.massG
  return (
    <Pan
      name={lot.name}
      massWords={state.stage === 'cooking' ? '' : bulk(state.massG)}
      status={shown.isUnsent ? t('unsent') : words.status(shown, valueOf(watched.get(lot.id) ?? WORKING), nowMs)}
      level={massG / Math.max(1, Math.ceil(massG / FULL_TRAY_G)) / FULL_TRAY_G}
      fill={fillOf(shown)}
      order={order < 0 ? null : order + 1}
      isBare={isBare}
      onPress={() => router.push(`/rice/${lot.id}`)}
    />
  )
}

export function fillOf({ state }: ShownLot): PanFill {
  if (state.stage === 'frozen') return 'ice'
  if (state.stage === 'cooking' || state.stage === 'cooling' || state.stage === 'chilling') return 'warm'
  return state.isUsable ? 'grain' : 'struck'
}

/** Time as control: how much of its time out of the cold is left, as a bar that runs out. */
function OutClock({ shown, kitchen, nowMs }: ShelfProps & { shown: ShownLot }) {
  const t = useWords('rice')
  const { lot, state } = shown
  if (state.outByMs === null) return null
  const leftS = Math.max(0, (state.outByMs - nowMs) / 1000)
  const allS = leftS + state.outS
  return (
    <View className="mt-1 flex-row items-center gap-3">
      <Text stretch="slim" className="shrink">
        {t('outOfCold', { name: lot.name })}
      </Text>
      <View className="h-2 min-w-16 flex-1 bg-edge" aria-hidden>
        <View className="h-2 self-end bg-rice" style={{ width: `${(leftS / allS) * 100}%` }} />
      </View>
      <Text weight="bold" stretch="narrow">
        {t('outLeft', { time: formatClock(leftS / 60) })}
      </Text>
      <Text stretch="narrow">{t('useByTime', { time: formatTime(state.outByMs, kitchen.timeZone) })}</Text>
    </View>
  )
}
