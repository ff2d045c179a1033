import { GRAINS, type Grain } from 'core/rice/cookMethod'
import { useByMs } from 'core/rice/lot/lotHolding'
import { celsiusOf, isAbove, isBelow } from 'core/measure/temperature'
import { COOLING_LIMITS, HOLDING_LIMITS } from 'core/safety/coolingLimits'
import type { Kitchen } from 'contract/kitchen'
import type { RiceHouse } from 'contract/riceHouse'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { kitchenNowMs } from '../device/clock'
import { newId } from '../device/ids'
import { useKitchen } from '../setup/useKitchen'
import { Button } from '../ui/Button'
import { Choice } from '../ui/Choice'
import { Dial } from '../ui/Dial'
import { Frame } from '../ui/Frame'
import { Notice } from '../ui/Notice'
import { Loading } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useIsWide } from '../ui/useIsWide'
import { degrees, formatDay, formatTemp } from '../words/format'
import { useWords } from '../words/i18n'
import { kilos } from './lotWords'
import { beginLot, policyHere, useRiceHouse } from './useLots'

const HOUR_MS = 3_600_000

export function AddRiceScreen() {
  const t = useWords('rice')
  const kitchen = useKitchen().data
  const house = useRiceHouse().data
  if (!kitchen || !house) {
    return (
      <Frame stage="rice">
        <Loading what={t('loading')} />
      </Frame>
    )
  }
  return <AddRice kitchen={kitchen} house={house} />
}

/** Rice that came cooked: its age, weight and temperature are asked for before it may stand on the shelf. */
function AddRice({ kitchen, house }: { kitchen: Kitchen; house: RiceHouse }) {
  const t = useWords('rice')
  const router = useRouter()
  const isWide = useIsWide()
  const [origin, setOrigin] = useState<'bought' | 'table'>('bought')
  const [hours, setHours] = useState<number | 'nobodyKnows' | null>(null)
  const [massG, setMassG] = useState(3000)
  const [temp, setTemp] = useState<number | null>(null)
  const [grain, setGrain] = useState<Grain>('long')
  const [isReheated, setIsReheated] = useState(false)
  const places = house.places.filter((one) => one.kind === 'fridge' || one.kind === 'freezer')
  const [placeId, setPlaceId] = useState(places[0]?.id ?? null)
  const place = places.find((one) => one.id === placeId)
  const { coldC, coldF } = HOLDING_LIMITS[kitchen.ruleSet]
  const { startC, startF } = COOLING_LIMITS[kitchen.ruleSet]
  const { readsIn } = kitchen
  const read =
    temp === null ? null : readsIn === 'F' ? { tempC: celsiusOf(temp), tempF: temp } : { tempC: temp, tempF: null }
  const cold = { tempC: coldC, tempF: coldF }
  const start = { tempC: startC, tempF: startF }
  const isHot = read !== null && !isBelow(read, start)
  const nowMs = kitchenNowMs()
  const cookedAtMs = Math.round(nowMs - (typeof hours === 'number' ? hours : 0) * HOUR_MS)
  const endsMs = useByMs([kitchen.ruleSet], policyHere(kitchen, house), cookedAtMs)
  const refusal =
    hours === 'nobodyKnows'
      ? t('add.ageUnknownDetail')
      : isReheated
        ? t('add.isReheated')
        : hours !== null && endsMs < nowMs
          ? t('add.tooOld')
          : read && !isHot && isAbove(read, cold)
            ? t('add.between', {
                temp: formatTemp(read, readsIn),
                cold: formatTemp(cold, readsIn),
                start: formatTemp(start, readsIn),
              })
            : null
  const missing = hours === null ? t('add.askAge') : read === null ? t('add.askTemp') : undefined
  const take = () => {
    if (!read) return
    const id = newId()
    beginLot({
      id,
      origin,
      atMs: Math.round(kitchenNowMs()),
      cookedAtMs,
      massG,
      ...read,
      place: place?.kind ?? 'fridge',
      placeId: place?.id ?? null,
      grain,
      isReheated,
    })
    router.push(isHot ? `/rice/${id}` : '/rice')
  }
  const button = (
    <Button
      kind="main"
      isTall
      label={t('add.take', { kg: kilos(massG) })}
      detail={missing ?? (isHot ? t('add.hot') : t('add.takeDetail', { day: formatDay(endsMs, kitchen.timeZone) }))}
      disabledBecause={refusal ?? missing}
      onPress={take}
    />
  )
  const dial = (what: string) => ({ name: what, lessLabel: t('less', { what }), moreLabel: t('moreOf', { what }) })
  return (
    <Frame stage="rice" bar={button}>
      <View className="border-b border-edge bg-plate px-4 py-2">
        <PageHeading weight="bold">{t('add.title')}</PageHeading>
        <Text size="small" tone="ash" stretch="slim">
          {t('add.detail')}
        </Text>
      </View>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-2xl gap-3 self-center p-4">
          {refusal && <Notice kind="hazard" title={refusal} />}
          <Row title={t('add.from')}>
            {(['bought', 'table'] as const).map((one) => (
              <Choice
                key={one}
                role="radio"
                label={t(`add.${one}`)}
                isChosen={one === origin}
                onChoose={() => setOrigin(one)}
              />
            ))}
          </Row>
          <Text tone="ash">{t('add.age')}</Text>
          <Dial
            {...dial(t('add.age'))}
            value={typeof hours === 'number' ? hours : null}
            from={12}
            least={0}
            most={240}
            unit={t('add.hours')}
            onChange={setHours}
          />
          <Choice
            role="checkbox"
            label={t('add.ageUnknown')}
            isChosen={hours === 'nobodyKnows'}
            onChoose={() => setHours(hours === 'nobodyKnows' ? null : 'nobodyKnows')}
            className="self-start"
          />
          <Text tone="ash">{t('add.mass')}</Text>
          <Dial
            {...dial(t('add.mass'))}
            value={Number(kilos(massG, 2))}
            least={0.1}
            most={60}
            step={0.1}
            unit={t('kilograms')}
            onChange={(kg) => setMassG(Math.round(kg * 1000))}
          />
          <Text tone="ash">{t('add.temp')}</Text>
          <Dial
            {...dial(t('add.temp'))}
            value={temp}
            from={Math.round(degrees(cold, readsIn))}
            least={Math.round(degrees({ tempC: -30 }, readsIn))}
            most={Math.round(degrees({ tempC: 100 }, readsIn))}
            unit={t(`degrees.${readsIn}`)}
            onChange={setTemp}
          />
          <Row title={t('add.grain')}>
            {GRAINS.map((one) => (
              <Choice
                key={one}
                role="radio"
                label={t(`grains.${one}`)}
                isChosen={one === grain}
                onChoose={() => setGrain(one)}
              />
            ))}
          </Row>
          {!isHot && (
            <Row title={t('add.place')}>
              {places.map((one) => (
                <Choice
                  key={one.id}
                  role="radio"
                  label={one.name}
                  isChosen={one.id === placeId}
                  onChoose={() => setPlaceId(one.id)}
                />
              ))}
            </Row>
          )}
          <Row title={t('add.reheated')}>
            {[false, true].map((one) => (
              <Choice
                key={String(one)}
                role="radio"
                label={one ? t('add.yes') : t('add.no')}
                isChosen={one === isReheated}
                onChoose={() => setIsReheated(one)}
              />
            ))}
          </Row>
          {isWide && button}
          <Text size="small" tone="ash">
            {t('local')}
          </Text>
        </View>
      </ScrollView>
    </Frame>
  )
}

function Row({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <View>
      <Text tone="ash">{title}</Text>
      <View role="radiogroup" aria-label={title} className="-ml-3 flex-row flex-wrap">
        {children}
      </View>
    </View>
  )
}
