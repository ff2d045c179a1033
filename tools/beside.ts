import { writeFile } from 'node:fs/promises'
import type { Browser } from '@playwright/test'

const PHONE = { width: 390, height: 844 } as const
const GAP_PX = 12

/** Writes pictures of a phone side by side as one. */
export async function writeBeside(by: Browser, pictures: readonly Buffer[], path: string): Promise<void> {
  const width = pictures.length * (PHONE.width + GAP_PX) - GAP_PX
  const page = await by.newPage({ viewport: { width, height: PHONE.height } })
  const images = pictures.map(
    (one) => `<img width="${PHONE.width}" src="data:image/png;base64,${one.toString('base64')}">`,
  )
  await page.setContent(
    `<body style="margin:0;display:flex;gap:${GAP_PX}px;background:#808080">${images.join('')}</body>`,
  )
  await writeFile(path, await page.screenshot())
  await page.close()
}
