import type { BalancePart } from 'core/mise/balance/balance'
import { repairOf, type DishRepair } from 'core/mise/balance/repair'
import type { Style } from 'core/mise/balance/style'

export type RepairWork = { parts: readonly BalancePart[]; style: Style }

/** The smallest repair, wherever it is worked out. */
export const workRepair = ({ parts, style }: RepairWork): DishRepair | null => repairOf(parts, style)
