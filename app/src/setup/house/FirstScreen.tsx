import type { RicePlace } from 'contract/riceHouse'
import { firstKitchen, type FirstStep, type KitchenParts } from 'core/house/firstKitchen'
import { isAtLine } from 'core/people/roles'
import { useRouter, type Href } from 'expo-router'
import { useWindowDimensions, View } from 'react-native'
import { useDishes } from '../../book/useDishes'
import { useMiseHouse } from '../../mise/useMise'
import { useLots, useRiceHouse } from '../../rice/useLots'
import { Button } from '../../ui/Button'
import { Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { useWords } from '../../words/i18n'
import { useKitchen } from '../useKitchen'
import { HousePage } from './HousePage'
import { KitchenDrawing, type KitchenSaid } from './KitchenDrawing'
import { formatTemp } from '../../words/format'

const WHERE: Readonly<Record<FirstStep, Href>> = {
  name: '/setup/kitchen',
  station: '/setup/stations',
  plate: '/setup/stations',
  vessel: '/setup/rice',
  fridge: '/setup/rice',
  tools: '/setup/kitchen',
  instruments: '/setup/instruments',
  people: '/setup/people',
  prep: '/setup/prep',
  waves: '/setup/waves',
  dish: '/setup/sketches',
  rice: '/rice/add',
}

/** A first kitchen in any order: what works already, and what each thing still to be said would add. */
export function FirstScreen() {
  const t = useWords('setup')
  const router = useRouter()
  const { parts, error, refetch } = useKitchenParts()
  const toLine = <Button kind="main" isTall label={t('house.toLine')} onPress={() => router.push('/line')} />
  if (!parts)
    return (
      <HousePage title={t('house.title')}>
        {error ? <Problem error={error} onRetry={refetch} /> : <Loading what={t('loading')} />}
      </HousePage>
    )
  const { steps, works, canCook } = firstKitchen(parts)
  return (
    <HousePage title={t('house.title')} bar={canCook && toLine}>
      <Text tone="ash">{t('house.how')}</Text>
      <Drawing onOpen={(step) => router.push(WHERE[step])} />
      <View className="gap-1">
        <Text role="heading" aria-level={2} size="step" weight="bold">
          {t('house.works')}
        </Text>
        {works.length === 0 && <Text tone="ash">{t('house.worksNothing')}</Text>}
        {works.map((one) => (
          <Text key={one}>{t(`house.worksWords.${one}`)}</Text>
        ))}
        {canCook && <Text weight="semi">{t('house.canCook')}</Text>}
      </View>
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('house.before')}
      </Text>
      <View role="list" className="gap-2">
        {steps.map(({ step, isDone, isNeeded }) => (
          <View key={step} role="listitem">
            <Button
              label={t(`house.steps.${step}`)}
              detail={isDone ? t('house.done') : isNeeded ? t('house.needed') : t('house.later')}
              onPress={() => router.push(WHERE[step])}
            />
          </View>
        ))}
      </View>
      <Text tone="ash">{t('house.caution')}</Text>
      {canCook && <View className="hidden md:flex">{toLine}</View>}
    </HousePage>
  )
}

function useKitchenParts(): { parts: KitchenParts | null; error: Error | null; refetch: () => void } {
  const kitchen = useKitchen()
  const house = useRiceHouse()
  const book = useDishes()
  const { lots } = useLots()
  const mise = useMiseHouse()
  const refetch = () => void Promise.all([kitchen.refetch(), house.refetch(), book.refetch(), mise.refetch()])
  if (!kitchen.data || !house.data || !book.data || !mise.data)
    return { parts: null, error: kitchen.error ?? house.error ?? book.error ?? mise.error, refetch }
  const { stations, staff, tools, instruments, waves } = kitchen.data
  const parts = {
    owners: staff.filter(({ role }) => role === 'owner').length,
    cooks: staff.filter(({ role }) => isAtLine(role)).length,
    stations: stations.length,
    stationsWithPlate: stations.filter(({ heat }) => heat !== undefined).length,
    vessels: house.data.vessels.length,
    coldPlaces: house.data.places.filter(({ kind }) => kind === 'fridge' || kind === 'freezer').length,
    ladles: tools.ladles.length,
    instruments: instruments.length,
    dishes: book.data.dishes.length,
    lots: lots?.length ?? 0,
    waves: waves.spans.length,
    shifts: mise.data.policy.people.reduce((sum, { shifts }) => sum + shifts.length, 0),
  }
  return { parts, error: null, refetch }
}

const PADDING_PX = 32

/** The kitchen in lines and dots, from what was entered. */
function Drawing({ onOpen }: { onOpen: (step: FirstStep) => void }) {
  const t = useWords('setup')
  const { width } = useWindowDimensions()
  const isWide = useIsWide()
  const kitchen = useKitchen().data
  const house = useRiceHouse().data
  const mise = useMiseHouse().data
  const book = useDishes().data
  if (!kitchen || !house || !mise || !book) return null
  const [ring, ...others] = kitchen.stations
  const fridge = house.places.find(({ kind }) => kind === 'fridge')
  const [owner, ...people] = kitchen.staff
  const countOf = (count: number) => (count === 0 ? null : t('house.drawing.more', { count }))
  const coldWords = (place: RicePlace) => {
    const { name, airTempC, trays: count } = place
    return airTempC === null
      ? t('house.drawing.coldUnknown', { name, count })
      : t('house.drawing.cold', { name, count, temp: formatTemp({ tempC: airTempC }, kitchen.readsIn) })
  }
  const said: KitchenSaid = {
    tools: kitchen.tools.ladles.length === 0 ? null : kitchen.tools.ladles.map(({ name }) => name).join(', '),
    clock: owner ? t('house.drawing.owner', { name: owner.name, zone: kitchen.timeZone }) : null,
    orders: kitchen.waves.spans.length === 0 ? null : t('house.drawing.planned'),
    ring: ring ? t('house.drawing.portions', { name: ring.name, count: ring.capPortions }) : null,
    nextRing: countOf(others.length),
    people: countOf(people.length),
    vessel: house.vessels.length === 0 ? null : t('house.drawing.pots', { count: house.vessels.length }),
    fridge: fridge ? coldWords(fridge) : null,
    freezer: house.places.find(({ kind }) => kind === 'freezer')?.name ?? null,
    prep: mise.policy.people.some(({ shifts }) => shifts.length > 0) ? t('house.drawing.prepped') : null,
  }
  return (
    <KitchenDrawing
      said={said}
      trays={fridge?.trays ?? 0}
      hasDish={book.dishes.length > 0}
      widthPx={isWide ? width / 2 : width - PADDING_PX}
      onOpen={onOpen}
    />
  )
}
