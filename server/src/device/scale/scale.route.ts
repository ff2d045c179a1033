import { z } from '@hono/zod-openapi'
import { LotId } from 'contract/rice'
import { ScaleWeight } from 'contract/devices'
import { loadToComeG } from 'core/rice/plan/planDay'
import { inTransaction } from '../../db/pool'
import { json, newRouter } from '../../http/context'
import { probedLot, type ProbedLot } from '../../rice/probedLot'
import { unknownLot } from '../../rice/takeLotEvents'
import { simulatedScale } from './simulatedScale'
import { onlyFor } from '../../people/onlyFor'

const getWeight = onlyFor('read', {
  method: 'get',
  path: '/scale',
  request: { query: z.object({ lotId: LotId }) },
  responses: { 200: json(ScaleWeight, 'What the scale shows while this lot is held to it') },
})

export const scaleRoutes = newRouter().openapi(getWeight, async (c) => {
  const { pool, kitchenId, now } = c.var.kitchen
  const { lotId } = c.req.valid('query')
  const held = await inTransaction(pool, (connection) => probedLot(connection, kitchenId, lotId, now()))
  if (!held) throw unknownLot(lotId)
  const scale = simulatedScale(expectedG(held), held.kitchen.tools.scaleResolutionG, now())
  return c.json(await scale.weigh(), 200)
})

/** What the lot should weigh: off the heat by what its vessel loses as steam, later by what is left of it. */
function expectedG({ lot, state, house }: ProbedLot): number {
  if (!lot.load || state.stage !== 'cooking') return state.massG
  return loadToComeG(lot.load, house.vessels.find((one) => one.id === lot.load?.vesselId)?.steamGPerMin ?? 0)
}
