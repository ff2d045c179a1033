import type { Kitchen } from 'contract/kitchen'
import { GRAINS } from 'core/rice/cookMethod'
import { arrivalLimits, isHotArrival } from 'core/rice/lot/judgeArrival'
import { Choice } from '../../ui/Choice'
import { Dial } from '../../ui/Dial'
import { OneOf } from '../../ui/OneOf'
import { Text } from '../../ui/Text'
import { degrees } from '../../words/format'
import { useWords } from '../../words/i18n'
import type { useArrival } from './useArrival'
import { BulkDial } from '../BulkDial'

type ArrivalProps = { arrival: ReturnType<typeof useArrival>; kitchen: Kitchen }

const ORIGINS = ['bought', 'table'] as const

/** Everything that is asked of rice that came cooked. */
export function ArrivalForm({ arrival, kitchen }: ArrivalProps) {
  const t = useWords('rice')
  const { origin, grain, isReheated, placeId, places, read, answer } = arrival
  const isHot = read !== null && isHotArrival(read, kitchen.ruleSet)
  return (
    <>
      <Text tone="ash">{t('add.from')}</Text>
      <OneOf
        name={t('add.from')}
        of={ORIGINS}
        chosen={origin}
        words={(one) => t(`add.${one}`)}
        onChoose={(one) => answer({ origin: one })}
      />
      <ArrivalFigures arrival={arrival} kitchen={kitchen} />
      <Text tone="ash">{t('add.grain')}</Text>
      <OneOf
        name={t('add.grain')}
        of={GRAINS}
        chosen={grain}
        words={(one) => t(`grains.${one}`)}
        onChoose={(one) => answer({ grain: one })}
      />
      {!isHot && (
        <>
          <Text tone="ash">{t('add.place')}</Text>
          <OneOf
            name={t('add.place')}
            of={places.map(({ id }) => id)}
            chosen={placeId}
            words={(id) => places.find((one) => one.id === id)?.name ?? id}
            onChoose={(id) => answer({ placeId: id })}
          />
        </>
      )}
      <Text tone="ash">{t('add.reheated')}</Text>
      <OneOf
        name={t('add.reheated')}
        of={[false, true]}
        chosen={isReheated}
        words={(one) => t(one ? 'add.yes' : 'add.no')}
        onChoose={(one) => answer({ isReheated: one })}
      />
    </>
  )
}

/** Age, mass and temperature, each dialled. */
function ArrivalFigures({ arrival: { ageH, massG, temp, answer }, kitchen }: ArrivalProps) {
  const t = useWords('rice')
  const { readsIn } = kitchen
  const { cold } = arrivalLimits(kitchen.ruleSet)
  const dial = (what: string) => ({ name: what, lessLabel: t('less', { what }), moreLabel: t('moreOf', { what }) })
  return (
    <>
      <Text tone="ash">{t('add.age')}</Text>
      <Dial
        {...dial(t('add.age'))}
        value={typeof ageH === 'number' ? ageH : null}
        from={12}
        least={0}
        most={240}
        unit={t('add.hours')}
        onChange={(hours) => answer({ ageH: hours })}
      />
      <Choice
        role="checkbox"
        label={t('add.ageUnknown')}
        isChosen={ageH === 'nobodyKnows'}
        onChoose={() => answer({ ageH: ageH === 'nobodyKnows' ? null : 'nobodyKnows' })}
        className="self-start"
      />
      <Text tone="ash">{t('add.mass')}</Text>
      <BulkDial
        name={t('add.mass')}
        massG={massG}
        leastG={100}
        mostG={60_000}
        onChange={(grams) => answer({ massG: grams })}
      />
      <Text tone="ash">{t('add.temp')}</Text>
      <Dial
        {...dial(t('add.temp'))}
        value={temp}
        from={Math.round(degrees(cold, readsIn))}
        least={Math.round(degrees({ tempC: -30 }, readsIn))}
        most={Math.round(degrees({ tempC: 100 }, readsIn))}
        unit={t(`degrees.${readsIn}`)}
        onChange={(read) => answer({ temp: read })}
      />
    </>
  )
}
