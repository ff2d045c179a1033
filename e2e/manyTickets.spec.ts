import { expect, test } from './kitchen'
import { v7 as newId } from 'uuid'

const TICKETS = 180

test('of many tickets only those on the screen are drawn, and what is promised later is counted', async ({
  kitchen,
  open,
}) => {
  const firstMs = kitchen.now() + 600_000
  const tickets = Array.from({ length: TICKETS }, (_, i) => ({
    id: newId(),
    place: `order ${i + 1}`,
    promisedAtMs: Math.round(firstMs + i * 20_000),
    items: [{ id: newId(), dishId: i % 2 ? 'plain' : 'duck', portions: 1 + (i % 3) }],
  }))
  for (let from = 0; from < TICKETS; from += 90)
    expect((await kitchen.post('/tickets', tickets.slice(from, from + 90))).status).toBe(201)
  const all = await kitchen.tickets()
  const page = await open('/line')
  const later = page.getByText(/^And \d+ tickets more \(\d+ portions\), promised from \d\d:\d\d on/)
  const drawn = page.getByRole('button', { name: / (in hand|late)$|on time$/ })
  await expect(drawn.first()).toBeVisible()
  expect(await drawn.count()).toBeLessThan(40)
  const first = await drawn.first().textContent()
  await drawn.first().hover()
  // Rows that are measured above what is seen must not throw the list back to its start.
  for (let n = 0; n < 4; n += 1) {
    await page.mouse.wheel(0, 1300)
    await expect(drawn.filter({ hasText: first ?? '' })).toHaveCount(0)
    await page.waitForTimeout(300)
  }
  await expect(async () => {
    await page.mouse.wheel(0, 20_000)
    await expect(later).toBeInViewport({ timeout: 500 })
    await expect(drawn.last()).toContainText(String(all.at(-1)!.number), { timeout: 500 })
  }).toPass()
  // It stays there.
  await page.waitForTimeout(500)
  await expect(drawn.last()).toContainText(String(all.at(-1)!.number), { timeout: 1000 })
  expect(await drawn.count()).toBeLessThan(40)
  await expect(drawn.filter({ hasText: first ?? '' })).toHaveCount(0)
})
