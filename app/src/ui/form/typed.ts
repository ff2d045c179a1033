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

/** A time of the day as it is typed (18:30, 18.30, 1830, 18), as minutes since midnight. */
export const typedClock = (fault: string) =>
  z.string().transform((text, context) => {
    const [, h = '', min = '0'] = /^\s*(\d{1,2})(?:[:.h]?(\d{2}))?\s*$/.exec(text) ?? []
    const minute = Number(h || NaN) * 60 + Number(min)
    if (Number(h) < 24 && Number(min) < 60 && !Number.isNaN(minute)) return minute
    context.addIssue({ code: 'custom', message: fault })
    return z.NEVER
  })
