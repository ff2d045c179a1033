import type { Tonight } from 'contract/riceHouse'
import { coverTonight } from 'core/rice/plan/tonight'
import { useRouter } from 'expo-router'
import { ScrollView, View } from 'react-native'
import { useNowMs } from '../device/clock'
import { valueOf, WORKING, workedOf } from '../device/worked'
import { useKitchen } from '../setup/useKitchen'
import { useMassWords } from '../setup/useMassWords'
import { Button } from '../ui/Button'
import { Frame } from '../ui/Frame'
import { Notice } from '../ui/Notice'
import { Empty, Loading, Problem } from '../ui/states'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useIsWide } from '../ui/useIsWide'
import { formatDay, formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import { Shelf, type ShelfProps } from './shelf/Shelf'
import { TaskButton } from './shelf/TaskButton'
import { nextTask } from './shelf/nextTask'
import { onHandOf, useLots, useRiceHouse } from './useLots'
import { usePastLots } from './usePastLots'
import { TomorrowSide } from './wall/TomorrowSide'
import { Wall } from './wall/Wall'
import { useTonight } from './useRicePlan'
import { useWatchedLots } from './useRiceWork'

/** Rice at a glance: what there is, how long it lasts, where it stands, and the one thing to do. */
export function RiceScreen() {
  const t = useWords('rice')
  const { lots: known, isReady, error, refetch } = useLots()
  const lots = known.filter(({ state }) => state.end === null)
  const kitchen = useKitchen().data
  const house = useRiceHouse().data
  const tonight = useTonight().data
  const nowMs = useNowMs(10_000)
  const watched = useWatchedLots(lots, house, nowMs)
  const isWide = useIsWide()
  if (!isReady || !kitchen || !house) {
    return (
      <Frame stage="rice">
        {error ? <Problem error={error} onRetry={() => void refetch()} /> : <Loading what={t('loading')} />}
      </Frame>
    )
  }
  const shelf: ShelfProps = { lots, watched, kitchen, house, nowMs }
  const nextMs = tonight?.demands.find((demand) => demand.atMs > nowMs)?.atMs ?? null
  const nextDemand = workedOf({ data: tonight && nextMs, isError: false })
  const task = nextTask(lots, watched, house.policy, nextDemand, nowMs)
  const button = <TaskButton task={task} {...shelf} demands={tonight?.demands ?? []} />
  if (isWide)
    return (
      <Frame stage="rice">
        <View className="min-h-0 flex-1 flex-row">
          <ScrollView tabIndex={0} className="min-h-0 min-w-0 flex-1">
            <Head {...shelf} />
            <Stand {...shelf} tonight={tonight} />
            <JustRefused nowMs={nowMs} />
            {lots.length === 0 ? (
              <Empty title={t('empty')} detail={t('emptyDetail')} />
            ) : (
              <Wall
                {...shelf}
                demands={tonight?.demands ?? []}
                taskLotId={'shown' in task ? task.shown.lot.id : null}
              />
            )}
            <Text size="small" tone="ash" className="px-4 py-2">
              {`${t('wall.legend')} ${t('local')}`}
            </Text>
          </ScrollView>
          <TomorrowSide {...shelf}>{button}</TomorrowSide>
        </View>
      </Frame>
    )
  return (
    <Frame stage="rice" bar={button}>
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="w-full">
          <Head {...shelf} />
          <Stand {...shelf} tonight={tonight} />
          <JustRefused nowMs={nowMs} />
          {lots.length === 0 ? (
            <View className="min-h-64">
              <Empty title={t('empty')} detail={t('emptyDetail')} />
            </View>
          ) : (
            <Shelf {...shelf} />
          )}
          <Ways />
          <Text size="small" tone="ash" className="px-4 pb-4">
            {t('local')}
          </Text>
        </View>
      </ScrollView>
    </Frame>
  )
}

function Head({ lots, kitchen, nowMs }: ShelfProps) {
  const { bulk } = useMassWords()
  const t = useWords('rice')
  const allG = lots.reduce((sum, { state }) => sum + state.massG, 0)
  return (
    <View className="flex-row items-center justify-between gap-3 border-b border-edge bg-plate px-4 py-2">
      <View className="min-w-0 flex-1">
        <PageHeading weight="bold">{t('title')}</PageHeading>
        <Text size="small" tone="ash" stretch="slim">
          {t('sum', { n: lots.length, mass: bulk(allG) })}
        </Text>
      </View>
      <View className="items-end">
        <Text size="title" weight="bold" stretch="narrow">
          {formatTime(nowMs, kitchen.timeZone)}
        </Text>
        <Text size="small" tone="ash" stretch="narrow">
          {formatDay(nowMs, kitchen.timeZone)}
        </Text>
      </View>
    </View>
  )
}

/** What is fit to fry, and until when it lasts. */
function Stand({ lots, watched, kitchen, nowMs, tonight }: ShelfProps & { tonight: Tonight | undefined }) {
  const { bulkParts } = useMassWords()
  const t = useWords('rice')
  const onHand = lots.flatMap(onHandOf)
  const fitG = onHand.reduce((sum, lot) => sum + lot.massG, 0)
  const fit = bulkParts(fitG)
  const demands = (tonight?.demands ?? []).map((one) => ({ ...one, atMs: Math.max(one.atMs, nowMs) }))
  const coming = lots.flatMap(({ lot, state }) => {
    const coldMs = valueOf(watched.get(lot.id) ?? WORKING)?.forecast.steps.at(-1)?.reachedMs
    return coldMs ? [{ atMs: coldMs, massG: state.massG }] : []
  })
  const cover = coverTonight(fitG, demands, tonight?.leadS ?? null, coming)
  const isWorking = !tonight || [...watched.values()].some((one) => one.kind === 'working')
  const portions = demands.reduce((sum, one) => sum + one.portions, 0)
  const portionG = portions > 0 ? cover.neededG / portions : 220
  const time = (ms: number) => formatTime(ms, kitchen.timeZone)
  const isTooLate = cover.startByMs === null || cover.startByMs < nowMs
  return (
    <View className="flex-row border-b border-edge">
      <View className="flex-1 px-4 py-2">
        <Text tone="ash">{t('fit')}</Text>
        <View className="flex-row items-baseline gap-1">
          <Text size="action" weight="bold" stretch="narrow">
            {fit.figures}
          </Text>
          <Text size="title" weight="bold">
            {fit.unit}
          </Text>
        </View>
        {portions > 0 && (
          <Text stretch="slim">{t('portions', { n: Math.floor(fitG / portionG), needed: Math.ceil(portions) })}</Text>
        )}
      </View>
      <View className="my-2 w-px bg-edge" aria-hidden />
      <View className="flex-1 px-4 py-2">
        {isWorking ? (
          <Text tone="ash">{t('working')}</Text>
        ) : portions === 0 ? (
          <Text weight="semi">{t('nothingAsked')}</Text>
        ) : cover.untilMs === null ? (
          <Text size="step" weight="bold" stretch="slim">
            {t('coversAll')}
          </Text>
        ) : (
          <>
            <Text tone="ash">{t('covers')}</Text>
            <Text size="action" weight="bold" stretch="narrow">
              {time(cover.untilMs)}
            </Text>
            <Text weight="bold" stretch="slim">
              {isTooLate ? t('startNow') : t('startBy', { time: time(cover.startByMs ?? 0) })}
            </Text>
          </>
        )}
      </View>
    </View>
  )
}

const REFUSED_SHOWN_MS = 3 * 3_600_000

/** Rice that was refused a while ago may still stand somewhere. */
function JustRefused({ nowMs }: { nowMs: number }) {
  const t = useWords('rice')
  const rows = usePastLots().data?.pages[0]?.lots ?? []
  const refused = rows.filter((row) => row.stage === 'refused' && nowMs - (row.endedAtMs ?? 0) < REFUSED_SHOWN_MS)
  if (refused.length === 0) return null
  return (
    <View className="px-4 py-2">
      <Notice kind="hazard" isSmall title={t('binRefused', { names: refused.map((row) => row.name).join(', ') })} />
    </View>
  )
}

function Ways() {
  const t = useWords('rice')
  const router = useRouter()
  return (
    <View className="flex-row gap-2.5 px-4 py-3">
      <Button label={t('goTomorrow')} size="body" className="flex-1" onPress={() => router.push('/rice/tomorrow')} />
      <Button label={t('goAdd')} size="body" className="flex-1" onPress={() => router.push('/rice/add')} />
      <Button label={t('goPast')} size="body" className="flex-1" onPress={() => router.push('/rice/past')} />
    </View>
  )
}
