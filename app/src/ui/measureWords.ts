import type { PracticalMeasure } from 'core/measure/practical'
import { formatCount } from '../words/format'
import { useWords } from '../words/i18n'

const SHOWN_OFF_FRACTION = 0.05

/** The kitchen's own measure in words, with its rounding where that matters; null where it is simply weighed. */
export function useMeasureWords(): (measure: PracticalMeasure) => string | null {
  const t = useWords('ui')
  return (measure) => {
    const n = formatCount(measure.count)
    const off = Math.abs(measure.errorFraction)
    const percent = `${measure.errorFraction > 0 ? '+' : '−'}${Math.round(off * 100)}`
    const offWords = off >= SHOWN_OFF_FRACTION ? ` ${t('measure.off', { percent })}` : ''
    switch (measure.tool) {
      case 'scale':
        return null
      case 'count':
        if (measure.name === 'egg') return t('measure.eggs', { count: measure.count, n }) + offWords
        return t('measure.count', { n, name: measure.name }) + offWords
      case 'ladle':
        return t('measure.ladle', { n, name: measure.name }) + offWords
      case 'tbsp':
        return t('measure.tbsp', { n }) + offWords
      case 'tsp':
        return t('measure.tsp', { n }) + offWords
    }
  }
}
