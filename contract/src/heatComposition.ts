import { z } from 'zod'

const fraction = z.number().min(0).max(1).exactOptional()
/** Mass fractions that a food is made of. */
export const HeatComposition = z
  .strictObject({
    water: fraction,
    protein: fraction,
    fat: fraction,
    carbohydrate: fraction,
    fibre: fraction,
    ash: fraction,
  })
  .refine(
    (one) => Math.abs(Object.values(one).reduce((sum, share) => sum + share, 0) - 1) < 0.02,
    'mass fractions must sum to 1: give shares of water, protein, fat, carbohydrate, fibre and ash',
  )
