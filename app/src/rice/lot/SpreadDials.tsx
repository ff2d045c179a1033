import { USUAL_SPREAD_C } from 'core/rice/lot/spread'
import { dishesForWetRice, rescueWetLoad } from 'core/rice/wetLoad'
import { View } from 'react-native'
import { useDishes } from '../../book/useDishes'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Dial } from '../../ui/Dial'
import { Notice } from '../../ui/Notice'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { degrees } from '../../words/format'
import { useWords } from '../../words/i18n'
import { centimetres } from '../lotWords'
import { useMassWords } from '../../setup/useMassWords'
import type { LotPage } from './lotPage'
import { TooDeep } from './TooDeep'
import { useScale } from './useScale'
import type { SpreadForm } from './useSpread'
import { BulkDial } from '../BulkDial'

/** What rice that leaves the heat can read [°C]. */
const TEMP_C = { least: 20, most: 101 } as const

/** What a spread load weighs, reads and where it goes, dialled with wet hands. */
export function SpreadDials({ shown, kitchen, house, spread }: LotPage & { spread: SpreadForm }) {
  const { bulk } = useMassWords()
  const t = useWords('rice')
  const { load } = shown.lot
  const scale = useScale(shown.lot.id, spread.setMassG)
  const sentence = useProblemSentence(scale.error)
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
      <BulkDial
        name={t('cooking.mass')}
        massG={spread.massG}
        leastG={100}
        mostG={60_000}
        isFine
        onChange={spread.setMassG}
      />
      {kitchen.instruments.includes('scale') && (
        <Button
          size="body"
          label={t('cooking.readScale')}
          isBusy={scale.isPending}
          onPress={() => scale.mutate()}
          className="self-center px-4"
        />
      )}
      {scale.error && <Notice kind="conflict" isSmall title={sentence} />}
      <Text tone="ash" stretch="slim" className="text-center">
        {[
          load ? t('cooking.massDetail', { mass: bulk(spread.plannedG, 2) }) : '',
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
        from={Math.round(degrees({ tempC: USUAL_SPREAD_C }, kitchen.readsIn))}
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
