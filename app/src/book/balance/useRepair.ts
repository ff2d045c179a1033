import { useQuery } from '@tanstack/react-query'
import type { DishRepair } from 'core/book/balance/repair'
import type { Style } from 'core/book/balance/style'
import { workedOf, type Worked } from '../../device/worked'
import { workedClient } from '../../live/workedClient'
import type { Judged } from './judge'
import { inRepairWorker } from './repairWorker'

const KEPT_MS = 60_000

/** The smallest repair of a dish outside its bands. */
export function useRepair({ parts, findings }: Judged, style: Style): Worked<DishRepair> {
  const input = {
    queryKey: ['repair', style, parts.map((part) => [part.ingredient.id, part.role, part.massG])],
    enabled: findings.some((one) => one.kind === 'outside'),
    staleTime: Infinity,
    gcTime: KEPT_MS,
    queryFn: ({ signal }: { signal: AbortSignal }) =>
      inRepairWorker((functions) => functions.repairOf(parts, style), signal),
  }
  return workedOf({ ...useQuery(input, workedClient), isEnabled: input.enabled })
}
