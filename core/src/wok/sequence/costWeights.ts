/** Weights of what a cook would rather not have; lower wins. [C] */
export const COST = {
  takeOut: 12,
  wipe: 6,
  perS: 0.1,
  waitPerS: 0.05,
  entry: 0.8,
  dipPerK: 0.25,
  unfriedPerS: 0.4,
  freeWater: 600,
  burn: 25 / 0.4,
  leafPast: 6,
  vegetablePast: 4,
  shortfall: 40,
  asidePerK: 0.08,
  eggOnDirty: 4,
  quickLate: 10,
  readyIntoRice: 5,
  vegetableIntoRice: 2,
  frozenIntoRice: 30,
  caramel: -4,
  butterPerK: 0.2,
  acrossZones: 3,
} as const
/** Done and hot, each second, by what it is. */
export const OVERDONE_PER_S: Readonly<Record<string, number>> = {
  seafood: 0.1,
  poultry: 0.09,
  meat: 0.08,
  mince: 0.08,
  egg: 0.03,
  cured: 0.02,
}
/** Softer than its goal by so much is past it. */
export const PAST = { vegetable: 1.8, leaf: 2.5 } as const
