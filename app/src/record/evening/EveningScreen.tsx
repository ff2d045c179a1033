import { instantOf } from 'core/time/localTime'
import { ScrollView, View } from 'react-native'
import { Frame } from '../../ui/Frame'
import { PageHeading } from '../../ui/PageHeading'
import { Empty, Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { formatClock, formatDay } from '../../words/format'
import { useWords } from '../../words/i18n'
import { BesidePlan } from './BesidePlan'
import { Complaints } from './Complaints'
import { Helped } from './Helped'
import { useEvening, type LookedBack } from './useEvening'
import { WhyLate } from './WhyLate'

const NOON_MIN = 720

/** An evening looked back on: what was late and why, and what would have helped. */
export function EveningScreen({ day }: { day: string }) {
  const t = useWords('record')
  const { lookedBack, error, refetch } = useEvening(day)
  return (
    <Frame stage="record">
      {lookedBack ? (
        <Evening day={day} {...lookedBack} />
      ) : error ? (
        <Problem error={error} onRetry={() => void refetch()} />
      ) : (
        <Loading what={t('evening.loading')} />
      )}
    </Frame>
  )
}

function Evening({ day, kitchen, evening, late, again }: LookedBack & { day: string }) {
  const t = useWords('record')
  const { timeZone } = kitchen
  const dayName = formatDay(instantOf(day, NOON_MIN, timeZone), timeZone)
  if (evening.runs.length === 0) return <Empty isPage title={t('evening.empty')} detail={t('evening.emptyDetail')} />
  const told = evening.runs.filter(({ toldStationId }) => toldStationId !== null)
  const lateS = late.reduce((sum, ticket) => sum + ticket.lateS, 0)
  const plan = again[0]?.plan ?? null
  return (
    <ScrollView tabIndex={0} className="min-h-0 flex-1">
      <View className="w-full max-w-6xl gap-4 self-center p-4">
        <View>
          <PageHeading size="title" weight="bold" stretch="wide">
            {`${t('evening.title')}, ${dayName}`}
          </PageHeading>
          <Text tone="ash">
            {[
              t('evening.tickets', { count: evening.tickets.length }),
              t('evening.batches', { count: evening.runs.length }),
              told.length > 0 &&
                t('evening.asTold', {
                  n: told.filter(({ stationId, toldStationId }) => stationId === toldStationId).length,
                  all: told.length,
                }),
            ]
              .filter(Boolean)
              .join(' · ')}
          </Text>
          {evening.isCut && <Text tone="ash">{t('evening.isCut')}</Text>}
        </View>
        <Text size="lead" weight="bold" stretch="slim">
          {late.length === 0
            ? t('evening.onTime')
            : t('evening.late', { count: late.length, time: formatClock(lateS) })}
        </Text>
        <BesidePlan stations={kitchen.stations} plan={plan} late={late} evening={evening} zone={timeZone} />
        <View className="gap-6 md:flex-row md:gap-8">
          {late.length > 0 && <WhyLate late={late} />}
          <Helped again={again} late={late} stations={kitchen.stations} />
        </View>
        <Complaints day={day} evening={evening} zone={timeZone} />
      </View>
    </ScrollView>
  )
}
