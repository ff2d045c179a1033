import type { TempUnit } from 'core/measure/temperature'
import type { Step } from 'core/wok/score'
import { formatPercent, formatWholeTemp } from '../words/format'
import { useWords } from '../words/i18n'
import { useMassWords } from '../setup/useMassWords'

/** From here on it is worth saying how near a thing is to burning. */
const NEAR_BURNT = 0.2

/** The figures of the model behind a step, as one line. */
export function useFigureWords(readsIn: TempUnit): (step: Step) => string {
  const { mass } = useMassWords()
  const t = useWords('wok')
  const temp = (tempC: number) => formatWholeTemp(tempC, readsIn)
  return ({ figures = {} }) => {
    const { fromC, metalC, lowestC, dryS, coreC, oilG, onMetalG, renderedG, carriedG, burnFraction } = figures
    const falls = metalC !== undefined && lowestC !== undefined && metalC - lowestC >= 2
    return [
      fromC === undefined ? '' : t('figures.warm', { temp: formatWholeTemp(fromC, readsIn, 10) }),
      metalC === undefined
        ? ''
        : falls
          ? t('figures.metalFalls', { from: temp(metalC), to: temp(lowestC) })
          : t('figures.metal', { from: temp(metalC) }),
      dryS === undefined ? '' : t('figures.dry', { seconds: Math.round(dryS) }),
      coreC === undefined ? '' : t('figures.core', { core: temp(coreC) }),
      oilG === undefined ? '' : t('figures.oil', { mass: mass(oilG) }),
      onMetalG === undefined ? '' : t('figures.onMetal', { mass: mass(Math.round(onMetalG)) }),
      renderedG === undefined ? '' : t('figures.rendered', { mass: mass(Math.round(renderedG)) }),
      carriedG === undefined ? '' : t('figures.carried', { mass: mass(Math.round(carriedG)) }),
      burnFraction === undefined || burnFraction < NEAR_BURNT
        ? ''
        : t('figures.burn', { percent: formatPercent(burnFraction) }),
    ]
      .filter(Boolean)
      .join(', ')
  }
}
