import { execFileSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { DishList } from 'contract/dish'
import { expect, test } from './kitchen'
import { seriousFindings } from './looks'

const TOSSED = 'Toss it all in one bowl'

test('more than the ring fries at once is fried in parts and tossed in one bowl: in the book and on the card', async ({
  kitchen,
  open,
}) => {
  const { dishes } = DishList.parse(await (await kitchen.fetch('/dishes')).json())
  const { version, ...duck } = dishes.find(({ id }) => id === 'duck')!
  const dish = { ...duck, portionRiceG: 600, schools: { ...duck.schools, batches: 'tossedInBowl' } }
  const saved = await kitchen.fetch('/dishes/duck', {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ version, dish }),
  })
  expect(saved.status).toBe(200)

  const page = await open('/book/duck')
  const steps = page.getByRole('listitem').filter({ hasText: /^\d+:\d\d/ })
  await expect(steps.filter({ hasText: /Rice in/ })).toHaveCount(1)
  await expect(page.getByText(TOSSED)).toHaveCount(0)

  await test.step('four portions are two parts: each has its rice, and the bowl comes last', async () => {
    const more = page.getByRole('button', { name: 'more' }).first()
    for (let n = 1; n < 4; n += 1) await more.click()
    await expect(page.getByText(TOSSED).first()).toBeVisible()
    const titles = await steps.allTextContents()
    const rice = titles.flatMap((title, at) => (/Rice in/.test(title) ? [at] : []))
    const tossed = titles.findIndex((title) => title.includes(TOSSED))
    expect(rice.length).toBeGreaterThanOrEqual(2)
    expect(tossed).toBeGreaterThan(Math.max(...rice))
    // The duck is cooked once, for all of it.
    expect(titles.filter((title) => /\bduck 4\d\d g/.test(title)).length).toBe(1)
    expect(await seriousFindings(page)).toEqual([])
  })

  await test.step('the printed card says the same', async () => {
    const pdf = Buffer.from(await (await kitchen.fetch('/dishes/duck/card.pdf?portions=4')).arrayBuffer())
    const file = join(mkdtempSync(join(tmpdir(), 'okazu-card-')), 'card.pdf')
    writeFileSync(file, pdf)
    expect(execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })).toContain('All of it in one bowl')
  })
})
