import { execFileSync } from 'node:child_process'
import { pathToFileURL } from 'node:url'
import { openTestKitchen, type TestKitchen } from '../db/test/testKitchen'
import type { LabelText } from '../print/labelDrawing'
import { paperThreads, type PaperThreads } from './paperThreads'
import { drawPaper } from './papers'

const ROOT = `${__dirname}/../../..`
let threads: PaperThreads
let kitchen: TestKitchen
beforeAll(async () => {
  execFileSync('bash', ['-c', '. tools/lib.sh && need_server'], { cwd: ROOT })
  threads = paperThreads(pathToFileURL(`${ROOT}/server/dist/paperWorker.mjs`))
  kitchen = await openTestKitchen(2, threads.draw)
})
afterAll(async () => {
  await kitchen.close()
  await threads.end()
})

const LABEL: LabelText = {
  name: 'R-17',
  grain: 'long',
  cooked: 'cooked Sat 28 Nov 14:05',
  useBy: 'use by Mon 30 Nov',
  mass: '4.2 kg',
  url: 'http://127.0.0.1:8425/rice/R-17',
}

test('a thread draws the same label as the one that asks', async () => {
  expect(await threads.draw('labelPng', LABEL)).toEqual(await drawPaper('labelPng', LABEL))
})

test('everything that the kitchen prints can be drawn there', async () => {
  const ask = async (path: string) => {
    const answer = await kitchen.app.request(`/api${path}`)
    const bytes = Buffer.from(await answer.arrayBuffer())
    return { status: answer.status, isPdf: bytes.subarray(0, 5).toString() === '%PDF-', json: bytes.toString() }
  }
  const lots = JSON.parse((await ask('/rice/lots')).json) as { lots: { id: string }[] }
  const { plans } = JSON.parse((await ask('/mise/plans')).json) as {
    plans: { id: string; drawn: unknown }[]
  }
  const today = new Date(kitchen.clock.now()).toISOString().slice(0, 10)
  const papers = [
    `/rice/lots/${lots.lots[0]!.id}/label.pdf?size=a4&copies=200`,
    `/rice/log.pdf`,
    `/rice/plan/${today}/plan.pdf`,
    `/mise/plans/${plans.find((plan) => plan.drawn !== null)!.id}/plan.pdf`,
    '/dishes/duck/card.pdf',
    '/recipes/duck-sauce/label.pdf',
  ]
  for (const path of papers) expect([path, await ask(path)]).toMatchObject([path, { status: 200, isPdf: true }])
})

test('more at once than can be drawn soon is refused with what to do, and nothing of the rest is lost', async () => {
  const asked = Array.from({ length: 40 }, () =>
    threads.draw('labelPdf', LABEL, 'a4', 200).then(
      (pdf) => (pdf.length > 1000 ? 'drawn' : 'empty'),
      (error: { code?: string }) => error.code,
    ),
  )
  const answers = await Promise.all(asked)
  // How many are drawn hangs on the machine: the first is, and what is not is told so.
  expect(answers[0]).toBe('drawn')
  expect(new Set(answers)).toEqual(new Set(['drawn', 'printing']))
})
