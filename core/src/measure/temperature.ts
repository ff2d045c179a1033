/** What a kitchen's thermometers speak. */
export const TEMP_UNITS = ['C', 'F'] as const
export type TempUnit = (typeof TEMP_UNITS)[number]

/** A temperature as it was read: where the thermometer speaks °F, `tempF` is what was read and `tempC` the same in °C. */
export type Temperature = { tempC: number; tempF: number | null }
/** A limit in either unit: 41 °F is the limit of a kitchen that reads °F, not 5 °C in other figures. */
export type TempLimit = { tempC: number; tempF: number }

/** °C from °F. */
export const celsiusOf = (fahrenheit: number): number => (fahrenheit - 32) / 1.8
/** °F from °C. */
export const fahrenheitOf = (celsius: number): number => celsius * 1.8 + 32

/** Whether a reading is above a limit, in the unit in which it was read. */
export const isAbove = (read: Temperature, limit: TempLimit): boolean =>
  read.tempF === null ? read.tempC > limit.tempC : read.tempF > limit.tempF

/** Whether a reading is below a limit, in the unit in which it was read. */
export const isBelow = (read: Temperature, limit: TempLimit): boolean =>
  read.tempF === null ? read.tempC < limit.tempC : read.tempF < limit.tempF
