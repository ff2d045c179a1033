import { shownBulk, writeBulk, writeMass, type ScaleUnit } from 'core/measure/scaleUnit'
import { useKitchen } from './useKitchen'

const massWords = (weighsIn: ScaleUnit) => ({
  weighsIn,
  /** 46 g, 1.04 kg; 1.6 oz, 2.29 lb. */
  mass: (massG: number) => writeMass(massG, weighsIn),
  /** Always in the large unit: 0.8 kg, 1.8 lb. */
  bulk: (massG: number, digits?: number) => writeBulk(massG, weighsIn, digits),
  /** The same with figures and unit apart. */
  bulkParts: (massG: number, digits?: number) => shownBulk(massG, weighsIn, digits),
})

const MASS_WORDS = { g: massWords('g'), oz: massWords('oz') }

/** Masses as this kitchen's scales show them. */
export type MassWords = ReturnType<typeof massWords>
export const useMassWords = (): MassWords => MASS_WORDS[useKitchen().data?.weighsIn ?? 'g']
