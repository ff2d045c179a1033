import { z } from '@hono/zod-openapi'
import { LotId } from 'contract/rice'
import { ScaleWeight } from 'contract/devices'
import { loadToComeG } from 'core/rice/plan/planDay'
import { inTransaction } from '../../db/pool'
import { json, newRouter, type KitchenContext } from '../../http/context'
import { probedLot, type ProbedLot } from '../../rice/probedLot'
import { unknownLot } from '../../rice/takeLotEvents'
import { kitchenOf } from '../../setup/kitchenOf'
import { needInstrument, NO_INSTRUMENT } from '../needInstrument'
import { simulatedScale } from './simulatedScale'
import { onlyFor } from '../../people/onlyFor'

const getWeight = onlyFor('read', {
  method: 'get',
  path: '/scale',
  request: { query: z.object({ lotId: LotId.optional() }) },
  responses: {
    200: json(ScaleWeight, 'What the scale shows while this lot is held to it; with nothing on it where none is named'),
    ...NO_INSTRUMENT,
  },
})

export const scaleRoutes = newRouter().openapi(getWeight, async (c) => {
  const { pool, kitchenId, now } = c.var.kitchen
  const { lotId } = c.req.valid('query')
  await needInstrument(pool, kitchenId, 'scale')
  const { tools } = await kitchenOf(pool, kitchenId)
  const heldG = lotId === undefined ? 0 : expectedG(await heldLot(c.var.kitchen, lotId))
  return c.json(await simulatedScale(heldG, tools.scaleResolutionG, now()).weigh(), 200)
})

async function heldLot({ pool, kitchenId, now }: KitchenContext, lotId: string): Promise<ProbedLot> {
  const held = await inTransaction(pool, (connection) => probedLot(connection, kitchenId, lotId, now()))
  if (!held) throw unknownLot(lotId)
  return held
}

/** What the lot should weigh: off the heat by what its vessel loses as steam, later by what is left of it. */
function expectedG({ lot, state, house }: ProbedLot): number {
  if (!lot.load || state.stage !== 'cooking') return state.massG
  return loadToComeG(lot.load, house.vessels.find((one) => one.id === lot.load?.vesselId)?.steamGPerMin ?? 0)
}
