import { TooDeep } from './TooDeep'
import { useRouter } from 'expo-router'
import { COOKED_BULK_KG_PER_L } from 'core/rice/cookMethod'
import { MIN_DEPTH_M, MAX_DEPTH_M } from 'core/rice/cooling/coolTray'
import { loadToComeG } from 'core/rice/plan/planDay'
import { celsiusOf, type Temperature } from 'core/measure/temperature'
import { inTrays, type CoolStage } from 'core/rice/cooling/coolingPlace'
import { waterFractionOf } from 'core/rice/waterBalance'
import { dishesForWetRice, rescueWetLoad } from 'core/rice/wetLoad'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { useDishes } from '../../book/useDishes'
import { valueOf } from '../../device/worked'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Dial } from '../../ui/Dial'
import { Frame } from '../../ui/Frame'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { useIsWide } from '../../ui/useIsWide'
import { degrees, formatClock, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { centimetres, kilos } from '../lotWords'
import { readyAtMs } from '../shelf/nextTask'
import { sayOfLot } from '../useLots'
import { useMostDepthM } from '../useRiceWork'
import { LotHead } from './LotHead'
import type { LotPage } from './lotPage'

const LIKELY = { least: 0.5, most: 0.7 } as const
const AIM_DEPTH_M = 0.038
/** What rice that leaves the heat usually reads, and what it can read [°C]. */
const USUAL_START_C = 90
const TEMP_C = { least: 20, most: 101 } as const

/** A load on the heat: the time to go, then its weight and where it is spread. */
export function CookingLot(page: LotPage) {
  const { shown, kitchen, house, nowMs } = page
  const t = useWords('rice')
  const router = useRouter()
  const isWide = useIsWide()
  const { lot } = shown
  const readyMs = readyAtMs(shown)
  const leftS = readyMs === null ? 0 : (readyMs - nowMs) / 1000
  const spread = useSpread(page)
  const vessel = house.vessels.find((one) => one.id === lot.load?.vesselId)
  const button = (
    <Button
      kind={leftS > 60 ? 'plain' : 'main'}
      isTall
      label={t('cooking.spread', { kg: kilos(spread.massG, 2) })}
      detail={spread.detail}
      disabledBecause={spread.refusal}
      onPress={() => {
        spread.say()
        router.push('/rice')
      }}
    />
  )
  return (
    <Frame stage="rice" bar={button}>
      <LotHead
        title={`${lot.name}, ${t('stages.cooking')}`}
        about={
          lot.load
            ? t('cooking.load', {
                rice: kilos(lot.load.dryMassG, 2),
                water: kilos(lot.load.waterG, 2),
                vessel: vessel?.name ?? '',
              })
            : t(`lot.${lot.origin === 'table' ? 'table' : 'bought'}`)
        }
        big={readyMs === null ? '' : formatTime(readyMs, kitchen.timeZone)}
        small={readyMs === null ? '' : t('cooking.ready')}
      />
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-2xl gap-4 self-center p-4">
          {lot.load && (
            <View>
              <Text size="action" weight="bold" stretch="narrow" aria-live="off">
                {leftS > 0 ? t('cooking.left', { time: formatClock(leftS) }) : t('cooking.readyNow')}
              </Text>
              <Text tone="ash">{t('cooking.steam')}</Text>
            </View>
          )}
          <SpreadDials {...page} spread={spread} />
          {isWide && button}
        </View>
      </ScrollView>
    </Frame>
  )
}

type Spread = ReturnType<typeof useSpread>

/** What is dialled, what follows from it, and what speaks against it. */
function useSpread({ shown, kitchen, house }: LotPage) {
  const t = useWords('rice')
  const { lot } = shown
  const { load } = lot
  const { tray, cooling } = house.policy
  const vessel = house.vessels.find((one) => one.id === load?.vesselId)
  const plannedG = load ? Math.round(loadToComeG(load, vessel?.steamGPerMin ?? 0) / 50) * 50 : 3000
  const [massG, setMassG] = useState(plannedG)
  const [temp, setTemp] = useState<number | null>(null)
  const read: Temperature | null =
    temp === null
      ? null
      : kitchen.readsIn === 'F'
        ? { tempC: celsiusOf(temp), tempF: temp }
        : { tempC: temp, tempF: null }
  const [placeId, setPlaceId] = useState<string | null>(null)
  const [isCovered, setIsCovered] = useState(false)
  const trayM2 = tray.lengthM * tray.widthM
  const volumeM3 = massG / 1_000_000 / COOKED_BULK_KG_PER_L
  const [dialledTrays, setTrays] = useState<number | null>(null)
  const trays = dialledTrays ?? Math.max(1, Math.ceil(volumeM3 / trayM2 / AIM_DEPTH_M - 0.05))
  const depthM = Math.round((volumeM3 / trayM2 / trays) * 1000) / 1000
  const first = house.places.find((one) => one.kind === cooling[0]?.place)
  const place = house.places.find((one) => one.id === placeId) ?? first
  const kind = place && place.kind !== 'bench' && place.kind !== 'freezer' ? place.kind : 'fridge'
  const own: CoolStage = { durationS: 36_000, place: kind, covered: isCovered, airTempC: place?.airTempC ?? undefined }
  const planned = cooling[0]?.place === kind && cooling.length > 1 && !isCovered
  const stages = planned ? [...cooling] : [own]
  const worked = useMostDepthM(
    inTrays(stages, tray.material),
    kitchen.ruleSet,
    Math.min(100, Math.max(60, read?.tempC ?? USUAL_START_C)),
  )
  const mostM = valueOf(worked)
  const waterFraction = load ? waterFractionOf(load.dryMassG, massG) : null
  const isOdd = waterFraction !== null && (waterFraction < LIKELY.least || waterFraction > LIKELY.most)
  const isNoTray = depthM < MIN_DEPTH_M || depthM > MAX_DEPTH_M
  return {
    massG,
    setMassG,
    temp,
    setTemp,
    trays,
    setTrays,
    place,
    setPlaceId,
    isCovered,
    setIsCovered,
    depthM,
    mostM,
    plannedG,
    waterFraction,
    isOdd,
    traysWanted: mostM ? Math.ceil(volumeM3 / trayM2 / mostM - 1e-9) : null,
    detail: t('cooking.spreadDetail', { count: trays, cm: centimetres(depthM), place: place?.name ?? '' }),
    refusal: isNoTray
      ? t('cooking.notTray', { cm: centimetres(depthM), least: MIN_DEPTH_M * 100, mostCm: MAX_DEPTH_M * 100 })
      : read === null
        ? t('cooking.measure')
        : undefined,
    say: () =>
      read &&
      sayOfLot(lot.id, {
        kind: 'spread',
        massG,
        ...read,
        depthM,
        trays,
        place: kind,
        placeId: place?.id ?? null,
        covered: isCovered,
        airTempC: place?.airTempC ?? null,
      }),
  }
}

function SpreadDials({ shown, kitchen, house, spread }: LotPage & { spread: Spread }) {
  const t = useWords('rice')
  const { load } = shown.lot
  const dishes = dishesForWetRice(useDishes().data?.dishes ?? [])
  const wanted = load?.targetWaterFraction ?? 0.6
  const wet = spread.waterFraction === null ? null : rescueWetLoad(spread.massG, spread.waterFraction, wanted)
  const percent = spread.waterFraction === null ? 0 : Math.round(spread.waterFraction * 100)
  const dial = (what: string) => ({ name: what, lessLabel: t('less', { what }), moreLabel: t('moreOf', { what }) })
  const places = house.places.filter((one) => one.kind !== 'bench' && one.kind !== 'freezer')
  return (
    <View className="gap-3 border-t border-edge pt-3">
      <Text role="heading" aria-level={2} weight="bold">
        {t('cooking.weigh')}
      </Text>
      <Dial
        {...dial(t('cooking.mass'))}
        value={Number(kilos(spread.massG, 2))}
        least={0.1}
        most={60}
        step={0.05}
        unit={t('kilograms')}
        onChange={(kg) => spread.setMassG(Math.round(kg * 1000))}
      />
      <Text tone="ash" stretch="slim" className="text-center">
        {[
          load ? t('cooking.massDetail', { kg: kilos(spread.plannedG, 2) }) : '',
          load ? t('cooking.moisture', { percent, wanted: Math.round(wanted * 100) }) : '',
        ]
          .filter(Boolean)
          .join(' · ')}
      </Text>
      {spread.isOdd ? (
        <Notice kind="conflict" isSmall title={t('cooking.odd', { percent })}>
          {t('cooking.oddDetail')}
        </Notice>
      ) : (
        wet?.isWet && (
          <Notice kind="conflict" isSmall title={t('cooking.wet')}>
            {t('cooking.wetDetail', {
              cm: centimetres(wet.depthM),
              hours: wet.extraHours,
              percent: Math.round(wet.batchFactor * 100),
              dishes: dishes.map((dish) => dish.shortName).join(', '),
            })}
          </Notice>
        )
      )}
      <Dial
        {...dial(t('cooking.trays'))}
        value={spread.trays}
        least={1}
        most={200}
        unit={t('cooking.traysOf', { count: spread.trays, cm: centimetres(spread.depthM) })}
        onChange={spread.setTrays}
      />
      <TooDeep depthM={spread.depthM} mostM={spread.mostM} trays={spread.traysWanted} />
      <Dial
        {...dial(t('cooking.temp'))}
        value={spread.temp}
        from={Math.round(degrees({ tempC: USUAL_START_C }, kitchen.readsIn))}
        least={Math.round(degrees({ tempC: TEMP_C.least }, kitchen.readsIn))}
        most={Math.round(degrees({ tempC: TEMP_C.most }, kitchen.readsIn))}
        unit={t(`degrees.${kitchen.readsIn}`)}
        onChange={spread.setTemp}
      />
      <Text tone="ash">{t('cooking.where')}</Text>
      <View role="radiogroup" aria-label={t('cooking.where')} className="flex-row flex-wrap">
        {places.map((place) => (
          <Choice
            key={place.id}
            role="radio"
            label={place.name}
            isChosen={place.id === spread.place?.id}
            onChoose={() => spread.setPlaceId(place.id)}
          />
        ))}
        <Choice
          role="checkbox"
          label={t('cooking.covered')}
          isChosen={spread.isCovered}
          onChoose={() => spread.setIsCovered(!spread.isCovered)}
        />
      </View>
    </View>
  )
}
