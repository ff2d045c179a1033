import fc from 'fast-check'
import { textWidth } from './fonts'
import { LABEL_MM, labelMarks, type LabelText } from './labelDrawing'

const label = (part: Partial<LabelText> = {}): LabelText => ({
  name: 'R-21',
  grain: 'long',
  cooked: 'cooked Thu 26 Nov 14:35',
  useBy: 'use by Sun 29 Nov',
  mass: '4.0 kg',
  url: 'http://127.0.0.1:8425/rice/01936f3e-0000-7000-8000-000000000000',
  ...part,
})

test('law: whatever stands on it, nothing leaves the label and no words reach the code', () => {
  const words = fc.string({
    minLength: 1,
    maxLength: 60,
    unit: fc.constantFrom(...'abcdefghijklmnopqrstuvwxyz0123456789 .-'),
  })
  fc.assert(
    fc.property(words, words, words, (name, cooked, useBy) => {
      for (const mark of labelMarks(label({ name, cooked, useBy }))) {
        if (mark.kind === 'text') {
          const endMm = mark.xMm + textWidth(mark.text, mark.bold) * mark.sizeMm
          expect(endMm).toBeLessThanOrEqual(LABEL_MM.width - 3 + 1e-6)
          expect(mark.baselineMm).toBeLessThan(LABEL_MM.height)
          // The three lines beside the code end before it; only the use-by line has the whole width.
          if (mark.text !== useBy) expect(endMm).toBeLessThanOrEqual(LABEL_MM.width - 21 - 3 + 1e-6)
        } else {
          expect(mark.xMm).toBeGreaterThanOrEqual(0)
          expect(mark.xMm + mark.widthMm).toBeLessThanOrEqual(LABEL_MM.width)
          expect(mark.yMm + mark.heightMm).toBeLessThanOrEqual(LABEL_MM.height)
        }
      }
    }),
    { numRuns: 30, endOnFailure: true },
  )
})

test('the code has white around it on every side, four modules wide (ISO/IEC 18004, from memory)', () => {
  const boxes = labelMarks(label()).flatMap((mark) => (mark.kind === 'box' && mark.yMm < 25 ? [mark] : []))
  const moduleMm = Math.min(...boxes.map((box) => box.widthMm))
  const leftMm = Math.min(...boxes.map((box) => box.xMm))
  const rightMm = Math.max(...boxes.map((box) => box.xMm + box.widthMm))
  const ruleMm = labelMarks(label()).find((mark) => mark.kind === 'box' && mark.yMm > 25)!
  const bottomMm = Math.max(...boxes.map((box) => box.yMm + box.heightMm))
  expect(LABEL_MM.width - rightMm).toBeGreaterThanOrEqual(4 * moduleMm)
  expect(Math.min(...boxes.map((box) => box.yMm))).toBeGreaterThanOrEqual(4 * moduleMm)
  expect((ruleMm as { yMm: number }).yMm - bottomMm).toBeGreaterThanOrEqual(4 * moduleMm - 0.05)
  expect(leftMm).toBeGreaterThan(LABEL_MM.width - 22)
})

test('a short name is large, a long one is smaller but all of it', () => {
  const sizeOf = (name: string) => {
    const [first] = labelMarks(label({ name }))
    return first?.kind === 'text' ? first.sizeMm : 0
  }
  expect(sizeOf('R-1')).toBe(11)
  expect(sizeOf('R-1234567890')).toBeLessThan(11)
})
