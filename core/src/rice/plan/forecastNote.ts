/** What to know of a forecast: it rests on few days, on old ones, on an outlier, or on days that sold out. */
export const FORECAST_NOTES = ['fewDays', 'old', 'outlier', 'soldOut'] as const
export type ForecastNote = (typeof FORECAST_NOTES)[number]
