import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { StationPlateState, StationVersions, type StationPlate, type StationReadings } from 'contract/stationPlate'
import { usualHandling } from 'core/wok/heat/usualStations'
import { getJson, sendJson } from '../../device/http'
import { usePersonId } from '../../people/me'
import { workedOf } from '../../device/worked'
import { workedClient } from '../../live/workedClient'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import { inStationWorker } from './stationWorker'

const keyOf = (stationId: string) => ['kitchen', 'plate', stationId]

/** What is known of a station. */
export const useStationPlate = (stationId: string) =>
  useQuery({
    queryKey: keyOf(stationId),
    queryFn: ({ signal }) => getJson(`/stations/${stationId}/plate`, StationPlateState, signal),
  })

/** Its versions, newest first. */
export const useStationVersions = (stationId: string) =>
  useQuery({
    queryKey: [...keyOf(stationId), 'versions'],
    queryFn: ({ signal }) => getJson(`/stations/${stationId}/plate/versions`, StationVersions, signal),
  })

/** Saves a plate, or the readings of a calibration, over the version that was seen. */
export function useSaveStation(stationId: string) {
  const t = useWords('setup')
  const queries = useQueryClient()
  const staffId = usePersonId()
  const onSuccess = (saved: StationPlateState) => {
    queries.setQueryData(keyOf(stationId), saved)
    return queries.invalidateQueries({ queryKey: [...keyOf(stationId), 'versions'] })
  }
  // The form is made anew with each version: what it says of saving is said here.
  const onPlateSaved = (saved: StationPlateState) => {
    toast(t('station.saved'))
    return onSuccess(saved)
  }
  const path = `/stations/${stationId}`
  const plate = useMutation({
    mutationFn: (input: { version: number; plate: StationPlate }) =>
      sendJson('PUT', `${path}/plate`, { ...input, staffId }, StationPlateState),
    onSuccess: onPlateSaved,
  })
  const calibration = useMutation({
    mutationFn: (input: { version: number; readings: StationReadings }) =>
      sendJson('POST', `${path}/calibrations`, { ...input, staffId }, StationPlateState),
    onSuccess,
  })
  return { plate, calibration }
}

/** Rice as it comes from the fridge [°C]. */
export const FROM_FRIDGE_C = 4

/** What a station does with rice from the fridge, worked out beside the interface. */
export function useStationFigures(plate: StationPlate | undefined, efficiencyError: number) {
  const query = useQuery(
    {
      queryKey: ['stationFigures', plate, efficiencyError],
      enabled: plate !== undefined,
      queryFn: ({ signal }) =>
        inStationWorker(
          (work) =>
            work.stationFigures(plate!, { riceTempC: FROM_FRIDGE_C, handling: usualHandling(plate!), efficiencyError }),
          signal,
        ),
      staleTime: Infinity,
    },
    workedClient,
  )
  return workedOf(query)
}

/** How long a reading should take by what is known of the station [s]. */
export function useExpected(plate: StationPlate, fromC: number, toC: number, litres: number) {
  const query = useQuery(
    {
      queryKey: ['expected', plate, fromC, toC, litres],
      queryFn: ({ signal }) => inStationWorker((work) => work.expectedReadings(plate, { litres, fromC, toC }), signal),
      staleTime: Infinity,
    },
    workedClient,
  )
  return workedOf(query)
}

/** The station as readings say it is, before anything is saved. */
export function useCalibrated(plate: StationPlate | undefined, readings: StationReadings | null) {
  const query = useQuery(
    {
      queryKey: ['calibrated', plate, readings],
      enabled: plate !== undefined && readings !== null,
      queryFn: ({ signal }) => inStationWorker((work) => work.calibrate(plate!, readings!), signal),
      staleTime: Infinity,
    },
    workedClient,
  )
  return workedOf({ ...query, isEnabled: readings !== null })
}
