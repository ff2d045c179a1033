import { z } from '@hono/zod-openapi'
import { PlanId } from 'contract/mise/event'
import type { MisePlan } from 'contract/mise/plan'
import { localDay } from 'core/time/localTime'
import { attachment, csvAttachment } from '../../http/attachment'
import { file, type KitchenContext, newRouter } from '../../http/context'
import { Problem } from '../../http/problems'
import { miseKitchen } from '../miseKitchen'
import { misePlans } from '../plan/misePlans'
import { stockOf, stockRows } from '../stock'
import { lotLabelText } from './lotLabel'
import { buyCsv, countCsv } from './mise.csv'
import { planIcs } from './plan.ics'
import { scheduled } from './scheduled'
import { onlyFor } from '../../people/onlyFor'

const planParams = z.object({ id: PlanId })
const lotParams = z.object({ id: z.string().max(64) })

const get = (path: string, type: string, description: string) =>
  onlyFor('read', { method: 'get', path, responses: file(type, description) })
const ofPlan = (name: string, type: string, description: string) =>
  onlyFor('read', {
    method: 'get',
    path: `/mise/plans/{id}/${name}`,
    request: { params: planParams },
    responses: file(type, description),
  })
const getIcs = ofPlan('plan.ics', 'text/calendar', 'Tasks of a plan as a calendar')
const getPdf = ofPlan('plan.pdf', 'application/pdf', 'Tasks by person on paper, with what to buy')
const getBuy = ofPlan('buy.csv', 'text/csv', 'What to buy, in packs of the supplier')
const getCount = get('/mise/count.csv', 'text/csv', 'The stock-take, in walking order')
const getLabelPdf = onlyFor('read', {
  method: 'get',
  path: '/mise/lots/{id}/label.pdf',
  request: {
    params: lotParams,
    query: z.object({
      size: z.enum(['60x40', 'a4']).default('60x40'),
      copies: z.coerce.number().int().min(1).max(200).default(1),
    }),
  },
  responses: file('application/pdf', 'Labels of a made lot'),
})
const getLabelPng = onlyFor('read', {
  method: 'get',
  path: '/mise/lots/{id}/label.png',
  request: { params: lotParams },
  responses: file('image/png', 'The label as a picture'),
})

const planned = async (context: KitchenContext, id: string) => {
  const { pool, kitchenId, now } = context
  const from = await miseKitchen(pool, kitchenId)
  const plans = await misePlans(pool, from, now())
  const plan = plans.find((one) => one.id === id)
  if (!plan?.drawn) throw undrawn(id, plans)
  return { from, plan, drawn: plan.drawn, made: scheduled(plans, from, now()) }
}

const labelOf = async (context: KitchenContext, id: string, url: string) => {
  const { pool, kitchenId, now } = context
  const from = await miseKitchen(pool, kitchenId)
  const { rows } = stockRows(from, await stockOf(pool, from, now()), now())
  const row = rows.find((one) => one.lots.some((lot) => lot.id === id))
  const lot = row?.lots.find((one) => one.id === id)
  if (!row || !lot)
    throw new Problem('unknown-lot', { detail: `no lot ${id} stands in the kitchen: look on the count` })
  return lotLabelText(lot, row, from.kitchen, new URL(url).origin)
}

export const miseFileRoutes = newRouter()
  .openapi(getIcs, async (c) => {
    const { now } = c.var.kitchen
    const { from, plan, made } = await planned(c.var.kitchen, c.req.valid('param').id)
    const headers = attachment('text/calendar; charset=utf-8', `okazu-prep-${plan.id}.ics`)
    return c.body(planIcs(plan, made, from.kitchen, now()), 200, headers)
  })
  .openapi(getPdf, async (c) => {
    const { from, plan, made } = await planned(c.var.kitchen, c.req.valid('param').id)
    const pdf = await c.var.kitchen.draw('prepSheet', plan, made, from.kitchen)
    return c.body(pdf, 200, attachment('application/pdf', `okazu-prep-${plan.id}.pdf`))
  })
  .openapi(getBuy, async (c) => {
    const { from, plan, drawn } = await planned(c.var.kitchen, c.req.valid('param').id)
    return c.text(buyCsv(drawn.buy, from.kitchen.currency), 200, csvAttachment(`okazu-buy-${plan.id}.csv`))
  })
  .openapi(getCount, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    const from = await miseKitchen(pool, kitchenId)
    const { rows } = stockRows(from, await stockOf(pool, from, now()), now())
    const places = new Map(from.house.policy.places.map((place) => [place.id, place.name]))
    const csv = countCsv(rows, (id) => places.get(id ?? '') ?? '')
    return c.text(csv, 200, csvAttachment(`okazu-count-${localDay(now(), from.kitchen.timeZone)}.csv`))
  })
  .openapi(getLabelPdf, async (c) => {
    const { size, copies } = c.req.valid('query')
    const { id } = c.req.valid('param')
    const pdf = await c.var.kitchen.draw('labelPdf', await labelOf(c.var.kitchen, id, c.req.url), size, copies)
    return c.body(pdf, 200, attachment('application/pdf', `okazu-label-${id}.pdf`))
  })
  .openapi(getLabelPng, async (c) => {
    const png = await c.var.kitchen.draw('labelPng', await labelOf(c.var.kitchen, c.req.valid('param').id, c.req.url))
    return c.body(png, 200, { 'content-type': 'image/png' })
  })

function undrawn(id: string, plans: readonly MisePlan[]): Problem {
  const drawn = plans.filter((plan) => plan.drawn).map((plan) => plan.id)
  return new Problem('not-found', {
    detail: `no plan was drawn for ${id}: draw it first${drawn.length > 0 ? `, or use ${drawn.join(', ')}` : ''}`,
  })
}
