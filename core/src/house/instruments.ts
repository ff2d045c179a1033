/**
 * What a kitchen may have to measure, print and take orders with. Without one, its figures are typed; a stand-in's
 * figures are made up, so that none may reach the record of a kitchen that did not choose it.
 */
export const INSTRUMENTS = ['scale', 'probe', 'surface', 'printer', 'feed'] as const
export type Instrument = (typeof INSTRUMENTS)[number]

/** The set with one more, or one fewer, in the usual order. */
export const withInstrument = (all: readonly Instrument[], one: Instrument, has: boolean): Instrument[] =>
  INSTRUMENTS.filter((each) => (each === one ? has : all.includes(each)))
