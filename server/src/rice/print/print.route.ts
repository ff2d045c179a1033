import { z } from '@hono/zod-openapi'
import { LabelPrinted } from 'contract/devices'
import { Day } from 'contract/ids'
import { LotId } from 'contract/rice'
import { dayAfter, instantOf, localDay } from 'core/time/localTime'
import { printLabel } from '../../device/printer/printLabel'
import { attachment, csvAttachment } from '../../http/attachment'
import { file, json, type KitchenContext, newRouter } from '../../http/context'
import { Problem } from '../../http/problems'
import { foldLot, policyOf } from '../foldLot'
import { findLot, listLotsBetween } from '../lots.sql'
import { dayRiceOf, planOfDay, riceKitchen } from '../riceKitchen'
import { unknownLot } from '../takeLotEvents'
import { coolingLogCsv, loggedLots } from './coolingLog'
import { labelText } from './label'
import { planIcs } from './plan.ics'
import { onlyFor } from '../../people/onlyFor'

const LOG_DAYS = 31
const lotParams = z.object({ id: LotId })
const copies = z.coerce.number().int().min(1).max(200).default(1)

const getLabelPdf = onlyFor('read', {
  method: 'get',
  path: '/rice/lots/{id}/label.pdf',
  request: { params: lotParams, query: z.object({ size: z.enum(['60x40', 'a4']).default('60x40'), copies }) },
  responses: file('application/pdf', 'Labels, one a page of 60 × 40 mm or a sheet of A4'),
})
const getLabelPng = onlyFor('read', {
  method: 'get',
  path: '/rice/lots/{id}/label.png',
  request: { params: lotParams },
  responses: file('image/png', 'The label as a picture, 12 dots a millimetre'),
})
const postLabel = onlyFor('prepare', {
  method: 'post',
  path: '/rice/lots/{id}/label/print',
  request: { params: lotParams, query: z.object({ copies }) },
  responses: { 200: json(LabelPrinted, 'Sent to the label printer') },
})
const getLogCsv = onlyFor('read', {
  method: 'get',
  path: '/rice/log.csv',
  request: { query: z.object({ from: Day.optional(), to: Day.optional() }) },
  responses: file('text/csv', 'The cooling log, a line a reading; the last 31 days unless said otherwise'),
})
const getLogPdf = onlyFor('read', {
  method: 'get',
  path: '/rice/log.pdf',
  request: { query: z.object({ day: Day.optional() }) },
  responses: file('application/pdf', 'The cooling log of a day, with lines to sign'),
})
const getPlanIcs = onlyFor('read', {
  method: 'get',
  path: '/rice/plan/{day}/plan.ics',
  request: { params: z.object({ day: Day }) },
  responses: file('text/calendar', 'The loads of a day as a calendar'),
})

const getPlanPdf = onlyFor('read', {
  method: 'get',
  path: '/rice/plan/{day}/plan.pdf',
  request: { params: z.object({ day: Day }) },
  responses: file('application/pdf', 'The loads of a day on paper, by scale and by the kitchen’s measures'),
})

const labelOf = async (context: KitchenContext, id: string, url: string) => {
  const { pool, kitchenId, now } = context
  const { kitchen, house } = await riceKitchen(pool, kitchenId)
  const lot = await findLot(pool, kitchenId, id)
  if (!lot) throw unknownLot(id)
  const state = foldLot(lot, policyOf(kitchen, house), now())
  return labelText(lot, state, kitchen, new URL(url).origin)
}

const madePlan = async (context: KitchenContext, day: string) => {
  const { pool, kitchenId, now } = context
  const { kitchen, house } = await riceKitchen(pool, kitchenId)
  const plan = await planOfDay(pool, kitchen, house, day, now())
  const made = await dayRiceOf(pool, kitchen, house, plan, now())
  if (!made) throw new Problem('unknown-place', { detail: 'the kitchen has no vessel for rice: add one in the set-up' })
  return { made, kitchen, house }
}

export const printRoutes = newRouter()
  .openapi(getLabelPdf, async (c) => {
    const { size, copies: wanted } = c.req.valid('query')
    const text = await labelOf(c.var.kitchen, c.req.valid('param').id, c.req.url)
    return c.body(
      await c.var.kitchen.draw('labelPdf', text, size, wanted),
      200,
      attachment('application/pdf', `${text.name}-label.pdf`),
    )
  })
  .openapi(getLabelPng, async (c) => {
    const text = await labelOf(c.var.kitchen, c.req.valid('param').id, c.req.url)
    return c.body(await c.var.kitchen.draw('labelPng', text), 200, attachment('image/png', `${text.name}-label.png`))
  })
  .openapi(postLabel, async (c) => {
    const { copies: wanted } = c.req.valid('query')
    const text = await labelOf(c.var.kitchen, c.req.valid('param').id, c.req.url)
    return c.json(await printLabel(c.var.kitchen, text, wanted), 200)
  })
  .openapi(getLogCsv, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    const { kitchen, house } = await riceKitchen(pool, kitchenId)
    const today = localDay(now(), kitchen.timeZone)
    const { from = dayAfter(today, 1 - LOG_DAYS), to = today } = c.req.valid('query')
    const lots = await listLotsBetween(pool, kitchenId, ...spanMs(from, to, kitchen.timeZone))
    const csv = coolingLogCsv(loggedLots(lots, kitchen, house, now()), kitchen)
    return c.text(csv, 200, csvAttachment(`okazu-cooling-${from}-${to}.csv`))
  })
  .openapi(getLogPdf, async (c) => {
    const { pool, kitchenId, now } = c.var.kitchen
    const { kitchen, house } = await riceKitchen(pool, kitchenId)
    const { day = localDay(now(), kitchen.timeZone) } = c.req.valid('query')
    const lots = await listLotsBetween(pool, kitchenId, ...spanMs(day, day, kitchen.timeZone))
    const pdf = await c.var.kitchen.draw('coolingDaySheet', day, loggedLots(lots, kitchen, house, now()), kitchen)
    return c.body(pdf, 200, attachment('application/pdf', `okazu-cooling-${day}.pdf`))
  })
  .openapi(getPlanIcs, async (c) => {
    const { now } = c.var.kitchen
    const { day } = c.req.valid('param')
    const { made, kitchen } = await madePlan(c.var.kitchen, day)
    const headers = attachment('text/calendar; charset=utf-8', `okazu-rice-${day}.ics`)
    return c.body(planIcs(day, made, kitchen, now()), 200, headers)
  })
  .openapi(getPlanPdf, async (c) => {
    const { day } = c.req.valid('param')
    const { made, kitchen, house } = await madePlan(c.var.kitchen, day)
    const pdf = await c.var.kitchen.draw('planSheet', day, made, kitchen, house)
    return c.body(pdf, 200, attachment('application/pdf', `okazu-rice-${day}.pdf`))
  })

function spanMs(fromDay: string, toDay: string, timeZone: string): [number, number] {
  return [instantOf(fromDay, 0, timeZone), instantOf(dayAfter(toDay), 0, timeZone)]
}
