import { execFileSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { newPdf } from './fonts'
import { kitchenDates } from './kitchenDates'
import { Sheet } from './sheet'

async function textOf(draw: (sheet: Sheet) => void): Promise<string[]> {
  const { pdf, fonts } = await newPdf('test')
  draw(new Sheet(pdf, fonts))
  const file = join(mkdtempSync(join(tmpdir(), 'sheet-')), 'sheet.pdf')
  writeFileSync(file, await pdf.save())
  const text = execFileSync('pdftotext', ['-layout', file, '-'], { encoding: 'utf8' })
  return text.split('\f').filter((page) => page.trim() !== '')
}

test('long words wrap and lose nothing; many lines go on to another sheet', async () => {
  const words = Array.from({ length: 120 }, (_, n) => `word${n}`)
  const [page] = await textOf((sheet) => sheet.write(words.join(' '), { size: 11 }))
  expect(page!.split(/\s+/).filter(Boolean)).toEqual(words)
  const pages = await textOf((sheet) => {
    for (let n = 0; n < 90; n += 1) sheet.write(`line ${n}`, {})
  })
  expect(pages.length).toBe(2)
  expect(pages.join('\n').match(/line \d+/g)).toHaveLength(90)
})

test('lines to sign stand together on the last sheet, also where it is full', async () => {
  const pages = await textOf((sheet) => {
    for (let n = 0; n < 53; n += 1) sheet.write(`line ${n}`, {})
    sheet.signatures(['Cook', 'Lead'])
  })
  const last = pages.at(-1)!
  expect(last).toContain('Cook (name, time)')
  expect(last).toContain('Lead (name, time)')
})

test('what is kept together is not parted between sheets', async () => {
  const pages = await textOf((sheet) => {
    for (let n = 0; n < 51; n += 1) sheet.write(`line ${n}`, {})
    sheet.keepTogether(5)
    for (let n = 0; n < 5; n += 1) sheet.write(`kept ${n}`, {})
  })
  expect(pages[1]!.match(/kept \d/g)).toHaveLength(5)
})

test.each([
  ['Pacific/Auckland', 'en-GB', 'Fri 27 Nov', '00:05'],
  ['UTC', 'en-GB', 'Thu 26 Nov', '11:05'],
  ['America/New_York', 'en-US', 'Thu, Nov 26', '06:05'],
])('paper in %s (%s) says %s, %s', (timeZone, locale, day, time) => {
  const dates = kitchenDates({ timeZone, locale })
  const ms = Date.UTC(2026, 10, 26, 11, 5)
  expect(dates.day(ms).replace(',', locale === 'en-US' ? ',' : '')).toBe(day)
  expect(dates.time(ms)).toBe(time)
})
