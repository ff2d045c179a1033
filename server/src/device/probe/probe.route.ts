import { Probe, ProbeNow } from 'contract/rice'
import { announce } from '../../db/outbox'
import { inTransaction } from '../../db/pool'
import { json, jsonBody, newRouter } from '../../http/context'
import { probedLot } from '../../rice/probedLot'
import { unknownLot } from '../../rice/takeLotEvents'
import { needInstrument } from '../needInstrument'
import { findProbe, saveProbe, type ProbeState } from './probe.sql'
import { onlyFor } from '../../people/onlyFor'

const getProbe = onlyFor('read', {
  method: 'get',
  path: '/probe',
  responses: { 200: json(ProbeNow, 'The simulated probe: where it stands and how it fails') },
})

const putProbe = onlyFor('arrange', {
  method: 'put',
  path: '/probe',
  request: { body: jsonBody(Probe) },
  responses: { 200: json(ProbeNow, 'Put into a lot, or made to fail') },
})

export const probeRoutes = newRouter()
  .openapi(getProbe, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json(shown(await findProbe(pool, kitchenId)), 200)
  })
  .openapi(putProbe, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const wanted = c.req.valid('json')
    if (wanted.lotId !== null) await needInstrument(pool, kitchenId, 'probe')
    const probe = await inTransaction(pool, async (connection) => {
      const before = await findProbe(connection, kitchenId, true)
      if (wanted.lotId !== null && !(await probedLot(connection, kitchenId, wanted.lotId, now())))
        throw unknownLot(wanted.lotId)
      const isSame = before.lotId === wanted.lotId && before.fault === wanted.fault
      const after = { ...before, ...wanted, ...(!isSame && { sinceMs: now(), readAtMs: null }) }
      await saveProbe(connection, kitchenId, after)
      await announce(connection, kitchenId, now(), [{ topic: 'rice', key: wanted.lotId ?? '' }])
      return after
    })
    changed()
    return c.json(shown(probe), 200)
  })
const shown = ({ lotId, fault, sinceMs, readAtMs }: ProbeState): ProbeNow => ({ lotId, fault, sinceMs, readAtMs })
