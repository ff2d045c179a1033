import { z } from 'zod'

const asTyped = (text: string) => text.trim().replace(',', '.')

/** A figure as it is typed, with a comma or a point; outside of its range it is a fault. */
export const figure = (least: number, most: number, fault: string) =>
  z.string().transform((text, context) => {
    const value = Number(asTyped(text))
    if (asTyped(text) !== '' && Number.isFinite(value) && value >= least && value <= most) return value
    context.addIssue({ code: 'custom', message: fault })
    return z.NEVER
  })

/** The same, or nothing typed where nobody knows. */
export const figureOrNone = (least: number, most: number, fault: string) =>
  z.string().transform((text, context) => {
    if (asTyped(text) === '') return null
    const value = Number(asTyped(text))
    if (Number.isFinite(value) && value >= least && value <= most) return value
    context.addIssue({ code: 'custom', message: fault })
    return z.NEVER
  })

/** A whole figure of its range. */
export const count = (least: number, most: number, fault: string) =>
  figure(least, most, fault).refine(Number.isInteger, fault)
