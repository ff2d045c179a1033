import { z } from 'zod'

/** Typed text as a number between two bounds; a comma is a point. Nothing typed is a fault. */
export const typedNumber = (fault: string, { least = 0, most = Number.MAX_SAFE_INTEGER, isAbove = false } = {}) =>
  z.string().transform((text, context) => {
    const plain = text.trim().replace(',', '.')
    const value = plain === '' ? Number.NaN : Number(plain)
    if (value >= least && value <= most && !(isAbove && value === least)) return value
    context.addIssue({ code: 'custom', message: fault })
    return z.NEVER
  })

/** Typed words, without spaces at their ends. */
export const typedWords = (fault: string, most = 120) => z.string().trim().min(1, fault).max(most)
