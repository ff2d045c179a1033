import type { Dish } from 'contract/dish'
import type { Kitchen, Station } from 'contract/kitchen'
import { useState } from 'react'
import { OneOf } from '../../ui/OneOf'
import { useWords } from '../../words/i18n'

type Stations = { stations: readonly Station[]; station: Station | undefined; choose: (id: string) => void }

/** The stations that can cook a dish, and the one that its score is looked at on: the first until somebody chooses. */
export function useStationChoice(
  kitchen: Kitchen,
  { stationKind }: Pick<Dish, 'stationKind'>,
  firstId: string | null = null,
): Stations {
  const stations = kitchen.stations.filter(({ kind }) => kind === stationKind)
  const [chosenId, choose] = useState<string | null>(firstId)
  return { stations, station: stations.find(({ id }) => id === chosenId) ?? stations[0], choose }
}

/** Which station, where there are several. */
export function StationChoice({ stations, station, choose }: Stations) {
  const t = useWords('book')
  if (stations.length < 2) return null
  return (
    <OneOf
      name={t('score.on')}
      of={stations.map(({ id }) => id)}
      chosen={station?.id ?? null}
      words={(id) => stations.find((one) => one.id === id)?.name ?? id}
      onChoose={choose}
    />
  )
}
