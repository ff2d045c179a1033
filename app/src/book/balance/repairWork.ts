import type { BalancePart } from 'core/book/balance/balance'
import { repairOf, type DishRepair } from 'core/book/balance/repair'
import type { Style } from 'core/book/balance/style'

export type RepairWork = { parts: readonly BalancePart[]; style: Style }

/** The smallest repair, wherever it is worked out. */
export const workRepair = ({ parts, style }: RepairWork): DishRepair | null => repairOf(parts, style)
