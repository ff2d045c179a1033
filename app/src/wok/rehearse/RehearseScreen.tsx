import type { Kitchen, Station } from 'contract/kitchen'
import type { Dish } from 'contract/dish'
import { heatOf } from 'core/line/batchHeat'
import { isLearning } from 'core/people/roles'
import { handlingOfPerson } from 'core/wok/heat/handlingOfLoad'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { useDishes } from '../../book/useDishes'
import { useSettings } from '../../device/settings'
import { valueOf } from '../../device/worked'
import { openSound } from '../../device/signal'
import { useMe } from '../../people/me'
import { useKitchen } from '../../setup/useKitchen'
import { Button } from '../../ui/Button'
import { Dial } from '../../ui/Dial'
import { Frame } from '../../ui/Frame'
import { Notice } from '../../ui/Notice'
import { OneOf } from '../../ui/OneOf'
import { PageHeading } from '../../ui/PageHeading'
import { Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { formatClock } from '../../words/format'
import { useWords } from '../../words/i18n'
import { CookRun } from '../CookRun'
import { plainBatch, useBatchScores } from '../useBatchScores'
import { useRehearsal } from './useRehearsal'

type Props = { stationId: string | null; dishId: string | null }

/** A dish dry, at real speed: the same screens as a run, with nothing taken and nothing written down. */
export function RehearseScreen({ stationId, dishId }: Props) {
  const t = useWords('wok')
  const book = useDishes()
  const kitchen = useKitchen()
  if (book.data && kitchen.data)
    return <Rehearse dishes={book.data.dishes} kitchen={kitchen.data} stationId={stationId} dishId={dishId} />
  const error = book.error ?? kitchen.error
  return (
    <Frame stage="wok">
      {error ? (
        <Problem error={error} onRetry={() => [book.refetch(), kitchen.refetch()]} />
      ) : (
        <Loading what={t('rehearse.loading')} />
      )}
    </Frame>
  )
}

function Rehearse({ dishes, kitchen, stationId, dishId }: Props & { dishes: readonly Dish[]; kitchen: Kitchen }) {
  const t = useWords('wok')
  const settings = useSettings()
  const rehearsal = useRehearsal()
  const [station, setStation] = useState<Station | undefined>(
    kitchen.stations.find(({ id }) => id === stationId) ?? kitchen.stations[0],
  )
  const can = dishes.filter(({ stationKind }) => stationKind === station?.kind)
  const [chosenId, setChosenId] = useState(dishId)
  const dish = can.find(({ id }) => id === chosenId) ?? can[0]
  const [portions, setPortions] = useState(1)
  const usual = station ? heatOf(station).handling : 'stir'
  const isLearner = isLearning(useMe()?.person?.role ?? null)
  const [chosenHandling, setHandling] = useState<'toss' | 'stir' | null>(null)
  const handling = usual === 'toss' ? (chosenHandling ?? handlingOfPerson(usual, isLearner)) : usual
  const asked = dish ? [{ dish, batch: plainBatch(portions), station, handling }] : []
  const worked = useBatchScores(asked, kitchen)[0]
  const result = worked ? valueOf(worked) : null
  const score = result?.kind === 'score' ? result.score : null
  if (rehearsal.run) return <CookRun run={rehearsal.run} say={rehearsal.say} rehearsal={{ onEnd: rehearsal.end }} />
  const begin = () => {
    openSound()
    if (dish && station && score) rehearsal.begin(dish, station, portions, score, settings.handsFree)
  }
  const bar = (
    <Button
      isTall
      kind="main"
      size="lead"
      label={t('rehearse.begin')}
      detail={score ? t('rehearse.lasts', { time: formatClock(score.totalS) }) : t('rehearse.working')}
      className="flex-1"
      disabledBecause={score ? undefined : t(worked?.kind === 'working' ? 'rehearse.working' : 'rehearse.none')}
      onPress={begin}
    />
  )
  return (
    <Frame stage="wok" bar={bar}>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full max-w-3xl gap-3 self-center p-4">
          <PageHeading size="title" weight="bold" stretch="wide">
            {t('rehearse.title')}
          </PageHeading>
          <Notice kind="conflict" title={t('rehearse.dry')}>
            {t('rehearse.dryDetail')}
          </Notice>
          <Text tone="ash">{t('rehearse.station')}</Text>
          <OneOf
            name={t('rehearse.station')}
            of={kitchen.stations.map(({ id }) => id)}
            chosen={station?.id ?? null}
            words={(id) => kitchen.stations.find((one) => one.id === id)?.name ?? id}
            onChoose={(id) => setStation(kitchen.stations.find((one) => one.id === id))}
          />
          <Text tone="ash">{t('rehearse.dish')}</Text>
          <OneOf
            name={t('rehearse.dish')}
            of={can.map(({ id }) => id)}
            chosen={dish?.id ?? null}
            words={(id) => can.find((one) => one.id === id)?.shortName ?? id}
            onChoose={setChosenId}
          />
          {usual === 'toss' && (
            <>
              <Text tone="ash">{t('rehearse.moved')}</Text>
              <OneOf
                name={t('rehearse.moved')}
                of={['stir', 'toss'] as const}
                chosen={handling === 'toss' ? 'toss' : 'stir'}
                words={(one) => t(`rehearse.handling.${one}`)}
                onChoose={setHandling}
              />
            </>
          )}
          <Text tone="ash">{t('rehearse.batch')}</Text>
          <Dial
            name={t('rehearse.batch')}
            value={portions}
            least={1}
            most={Math.max(1, station?.capPortions ?? 1)}
            unit={t('rehearse.portions', { count: portions })}
            lessLabel={t('rehearse.less')}
            moreLabel={t('rehearse.more')}
            onChange={(value) => setPortions(Math.round(value))}
          />
          <View className="hidden md:flex">{bar}</View>
        </View>
      </ScrollView>
    </Frame>
  )
}
