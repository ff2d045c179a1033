import { useMutation, useQuery } from '@tanstack/react-query'
import { SurfaceReading } from 'contract/devices'
import type { LoadReading } from 'core/wok/heat/calibrate'
import { getJson } from '../../device/http'
import { useHas } from '../useKitchen'

const EVERY_MS = 1500
const MS_PER_S = 1000

/** What the thermometer on the dry vessel shows now [°C]; null where none answers. */
export function useDrySurface(stationId: string, startedMs: number): number | null {
  const enabled = useHas('surface')
  const { data, isError, fetchStatus } = useQuery({
    queryKey: ['surface', stationId, startedMs],
    queryFn: ({ signal }) => {
      const seconds = Math.max(0, Date.now() - startedMs) / MS_PER_S
      return getJson(`/surface-thermometer/dry?stationId=${stationId}&seconds=${seconds}`, SurfaceReading, signal)
    },
    enabled,
    refetchInterval: EVERY_MS,
    retry: false,
    gcTime: 0,
  })
  // Metal that heats by the second: a reading that is not renewed is none.
  return isError || fetchStatus === 'paused' ? null : (data?.tempC ?? null)
}

/** Reads the bared metal after a load. */
export const useSurfaceAfterLoad = (stationId: string, onRead: (metalC: number) => void) =>
  useMutation({
    mutationFn: (load: Omit<LoadReading, 'metalC'>) => {
      const query = new URLSearchParams({ stationId, ...mapText(load) })
      return getJson(`/surface-thermometer/load?${query}`, SurfaceReading)
    },
    onSuccess: ({ tempC }) => onRead(tempC),
  })

const mapText = (fields: object): Record<string, string> =>
  Object.fromEntries(Object.entries(fields).map(([name, value]) => [name, String(value)]))
