import type { Tonight } from 'contract/riceHouse'
import { expectedC, stepAtRisk } from 'core/rice/lot/lotForecast'
import { useRouter } from 'expo-router'
import { valueOf, WORKING } from '../../device/worked'
import { Button } from '../../ui/Button'
import { toast } from '../../ui/Toast'
import { formatTemp, formatTime, formatWholeTemp } from '../../words/format'
import { useWords } from '../../words/i18n'
import type { RiceTask } from './nextTask'
import type { ShelfProps } from './Shelf'
import { sayOfLot } from '../useLots'
import { useMassWords } from '../../setup/useMassWords'

const USUAL_PORTION_G = 220

/** The one thing to do about rice now, under the thumb. */
export function TaskButton({
  task,
  watched,
  kitchen,
  house,
  nowMs,
  demands,
}: ShelfProps & { task: RiceTask; demands: Tonight['demands'] }) {
  const { bulk } = useMassWords()
  const t = useWords('rice')
  const router = useRouter()
  if (task.kind === 'tomorrow') {
    return (
      <Button
        kind="main"
        isTall
        label={t('next.tomorrow')}
        detail={t('next.tomorrowDetail')}
        onPress={() => router.push('/rice/tomorrow')}
      />
    )
  }
  if (task.kind === 'working') return <Button isTall label={t('next.working')} isBusy onPress={() => undefined} />
  const { lot, state } = task.shown
  const forecastOf = valueOf(watched.get(lot.id) ?? WORKING)
  const open = () => router.push(`/rice/${lot.id}`)
  const main = (label: string, detail: string, onPress = open) => (
    <Button kind="main" isTall label={label} detail={detail} onPress={onPress} />
  )
  const name = lot.name
  switch (task.kind) {
    case 'bin':
      return main(t('next.bin', { name }), t('next.binDetail', { why: t(`why.${task.why}`) }))
    case 'weigh':
      return main(t('next.weigh', { name }), t('next.weighDetail'))
    case 'risk': {
      const step = stepAtRisk(forecastOf?.forecast.steps ?? [])
      const at = step?.reachedMs ?? null
      const detail =
        step && at !== null
          ? t('cool.risk', {
              temp: formatTemp(step, kitchen.readsIn),
              time: formatTime(at, kitchen.timeZone),
              limit: formatTime(step.limitMs ?? at, kitchen.timeZone),
            })
          : t('notCold')
      return main(t('next.risk', { name }), detail)
    }
    case 'read': {
      const forecast = forecastOf?.forecast
      const lastMs = state.readings.at(-1)?.atMs ?? nowMs
      const detail = forecast
        ? t('next.readDetail', { temp: formatWholeTemp(expectedC(forecast, nowMs), kitchen.readsIn) })
        : t('next.readSoon', { time: formatTime(lastMs, kitchen.timeZone) })
      return main(t('next.read', { name }), detail)
    }
    case 'carry': {
      const bench = house.places.find((place) => place.kind === 'bench')
      const portions = demands.reduce((sum, one) => sum + one.portions, 0)
      const riceG = demands.reduce((sum, one) => sum + one.massG, 0)
      const portionG = portions > 0 ? riceG / portions : USUAL_PORTION_G
      const detail = t('next.carryDetail', { mass: bulk(state.massG), portions: Math.floor(state.massG / portionG) })
      return main(t('next.carry', { name }), detail, () => {
        const [id] = sayOfLot(lot.id, {
          kind: 'moved',
          place: 'bench',
          placeId: bench?.id ?? null,
          covered: true,
          airTempC: bench?.airTempC ?? null,
          depthM: null,
        })
        toast(t('lot.says.moved', { place: bench?.name ?? t('places.bench') }), () =>
          sayOfLot(lot.id, { kind: 'undone', eventId: id }),
        )
      })
    }
  }
}
