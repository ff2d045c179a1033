import { z } from '@hono/zod-openapi'
import { Slug } from 'contract/ids'
import { LearnedKind, LearnedState, PostLearned } from 'contract/learned'
import { announce } from '../db/outbox'
import { inTransaction, type Db } from '../db/pool'
import { json, jsonBody, newRouter } from '../http/context'
import { Problem } from '../http/problems'
import { listDishes } from '../book/dishes.sql'
import { stationOf } from '../setup/station/stationOf'
import { learnAgain } from './learnFrom'
import { listLearned, listLessonsOf, saveLearned } from './learned.sql'
import { onlyFor } from '../people/onlyFor'

const params = z.object({ kind: LearnedKind, id: Slug })
const MOST_RECENT = 60

const getLearned = onlyFor('read', {
  method: 'get',
  path: '/learned/{kind}/{id}',
  request: { params },
  responses: {
    200: json(LearnedState, 'What runs say of the seconds of a station or a dish, with the newest of them'),
  },
})
const postLearned = onlyFor('arrange', {
  method: 'post',
  path: '/learned/{kind}/{id}',
  request: { params, body: jsonBody(PostLearned) },
  responses: { 200: json(LearnedState, 'The factor follows its runs, is frozen, or has forgotten them') },
})

export const learnedRoutes = newRouter()
  .openapi(getLearned, async (c) => {
    const { pool, kitchenId } = c.var.kitchen
    return c.json(await stateOf(pool, kitchenId, c.req.valid('param')), 200)
  })
  .openapi(postLearned, async (c) => {
    const { pool, kitchenId, now, changed } = c.var.kitchen
    const subject = c.req.valid('param')
    const { does } = c.req.valid('json')
    const before = await stateOf(pool, kitchenId, subject)
    const nowMs = Math.round(now())
    await inTransaction(pool, async (connection) => {
      const { kind, subjectId, factor, runs } = before
      const sinceMs = does === 'forget' ? nowMs : before.sinceMs
      const row = does === 'forget' ? { factor: 1, runs: 0 } : { factor, runs }
      await saveLearned(connection, kitchenId, { kind, subjectId, ...row, isFrozen: does === 'freeze', sinceMs })
      await learnAgain(connection, kitchenId, nowMs)
      await announce(connection, kitchenId, nowMs, [{ topic: 'kitchen', key: '' }])
    })
    changed()
    return c.json(await stateOf(pool, kitchenId, subject), 200)
  })

type Subject = z.infer<typeof params>

async function stateOf(db: Db, kitchenId: string, { kind, id }: Subject): Promise<LearnedState> {
  if (kind === 'station') await stationOf(db, kitchenId, id)
  else if (!(await listDishes(db, kitchenId)).some((dish) => dish.id === id))
    throw new Problem('unknown-dish', {
      detail: `the book has no dish "${id}": read the dishes again`,
      values: { dish: id },
    })
  const rows = await listLearned(db, kitchenId)
  const known = rows.find((row) => row.kind === kind && row.subjectId === id)
  const recent = await listLessonsOf(db, kitchenId, kind, id, MOST_RECENT)
  return { ...(known ?? { kind, subjectId: id, factor: 1, runs: 0, isFrozen: false, sinceMs: 0 }), recent }
}
