import type { Dish } from 'contract/dish'
import type { TempUnit } from 'core/measure/temperature'
import type { Change } from 'core/wok/sequence/repair'
import type { Finding } from 'core/wok/sequence/sequenceBatch'
import { Text } from '../../ui/Text'
import { Notice } from '../../ui/Notice'
import { formatTemp } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useMassWords } from '../../setup/useMassWords'

type NotLikeThisProps = { dish: Dish; finding: Finding; stationName: string; readsIn: TempUnit }

/** Why a batch cannot be cooked on a station, and the one smallest change that helps. */
export function NotLikeThis({ dish, finding, stationName, readsIn }: NotLikeThisProps) {
  const { mass } = useMassWords()
  const t = useWords('book')
  const nameOf = (id: string) => dish.components.find((one) => one.id === id)?.name ?? id
  const changeWords = (change: Change | null): string => {
    if (change === null) return t('score.change.none')
    switch (change.kind) {
      case 'cut':
        return t('score.change.cut', { name: nameOf(change.componentId), size: change.sizeMm })
      case 'thaw':
      case 'blanch':
        return t(`score.change.${change.kind}`, { name: nameOf(change.componentId) })
      case 'riceWarmer':
        return t('score.change.riceWarmer', { temp: formatTemp({ tempC: change.tempC, tempF: null }, readsIn) })
      case 'batches':
        return t('score.change.batches', { count: change.count, mass: mass(change.batchMassG) })
      case 'openHeat':
      case 'addRice':
      case 'otherEgg':
      case 'otherSchools':
        return t(`score.change.${change.kind}`)
    }
  }
  return (
    <Notice kind="conflict" title={t('score.infeasible', { station: stationName })}>
      {finding.bad.map(({ code, componentIds }) => (
        <Text key={code} tone="inverse">
          {[componentIds.map(nameOf).join(', '), t(`score.faults.${code}`)].filter(Boolean).join(': ')}
        </Text>
      ))}
      <Text tone="inverse" weight="bold">
        {changeWords(finding.change)}
      </Text>
    </Notice>
  )
}
