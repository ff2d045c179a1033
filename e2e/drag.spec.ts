import { LineState } from 'contract/line'
import { expect, test, told, type Kitchen } from './kitchen'

const pins = async (kitchen: Kitchen) =>
  LineState.parse(await (await kitchen.fetch(`/line`)).json()).wishes.flatMap((wish) =>
    wish.kind === 'pin' && !wish.isOff ? [wish] : [],
  )

// The phone has no lanes beside each other to drag between.
const ON_WIDE = { tag: '@wide' }

test(
  'a batch is dragged to the other ring, with its price, and taken back; moved by two at once it is said',
  ON_WIDE,
  async ({ kitchen, open }) => {
    const page = await open('/line')
    await told(page)
    const batch = page.getByRole('button', { name: /^.+ portions?, Ring A, up / }).first()
    await expect(batch).toBeVisible()
    // What drags is fetched once the line stands.
    await expect(batch).toHaveCSS('cursor', 'grab')
    const box = (await batch.boundingBox())!
    const [x, y] = [box.x + box.width / 2, box.y + Math.min(40, box.height / 2)]
    await page.mouse.move(x, y)
    await page.mouse.down()
    await page.mouse.move(x + 60, y, { steps: 4 })
    await page.mouse.move(x + 198, y, { steps: 6 })
    await expect(page.getByText(/· Ring B$/)).toBeVisible()
    await expect(page.getByText(/more late$|less late$|^nobody waits longer$/).first()).toBeVisible()
    await page.mouse.up()
    await expect.poll(async () => (await pins(kitchen)).map(({ stationId }) => stationId)).toEqual(['ring-b'])
    await expect(page.getByText(/held as you want it/)).toBeVisible()
    const [pin] = await pins(kitchen)

    await test.step('another lead moved the same portions before it was seen', async () => {
      const other = { ...pin!, id: crypto.randomUUID(), pinId: crypto.randomUUID(), deviceId: 'another-phone' }
      await kitchen.post('/line/wishes', { wishes: [{ ...other, atMs: pin!.atMs + 1, stationId: 'ring-a' }] })
      await expect(page.getByText(/was moved twice at the same time/)).toBeVisible()
      await page.getByRole('button', { name: 'Seen' }).click()
      await expect(page.getByText(/was moved twice at the same time/)).toBeHidden()
      await expect.poll(async () => (await pins(kitchen)).map(({ stationId }) => stationId)).toEqual(['ring-a'])
    })
  },
)
